<?php

declare(strict_types=1);

namespace Gravik\Lesson\Steps;

use Gravik\Performance\PlayedStroke;

/** Measures one round of a pattern: how long each stroke rings, in ms and as a share of the beat, and how loud it is. */
final readonly class StageFigures
{
    /** @return list<StrokeFigure> in order of time */
    public static function of(OneRound $round): array
    {
        $pattern = $round->timeline->spans[0]->hand->plan->pattern;
        $beat = $round->timeline->map->secondsAt($pattern->meter->beatTicks(), 1);
        $loudest = [];
        foreach ($round->timeline->events as $event) {
            $loudest[$event->tick] = max($loudest[$event->tick] ?? 0.0, $event->velocity);
        }
        $levels = array_map(static fn (PlayedStroke $stroke): float => $loudest[$stroke->tick] ?? 1.0, $round->strokes);
        sort($levels);
        $median = $levels === [] ? 1.0 : $levels[intdiv(count($levels), 2)];

        return array_map(static function (PlayedStroke $played) use ($pattern, $beat, $loudest, $median): StrokeFigure {
            $rings = $played->stroke->isDead() ? null : max([$played->t, ...$played->ends]) - $played->t;

            return new StrokeFigure(
                $played->stroke,
                $played->line,
                Counted::at($pattern, $played->tick % $pattern->ticks),
                $rings === null ? null : 1000 * $rings,
                $rings === null ? null : $rings / $beat,
                20 * log10(($loudest[$played->tick] ?? $median) / $median),
            );
        }, $round->strokes);
    }
}
