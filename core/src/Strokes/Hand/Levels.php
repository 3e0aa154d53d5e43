<?php

declare(strict_types=1);

namespace Gravik\Strokes\Hand;

use Gravik\Strokes\Direction;
use Gravik\Strokes\Failure\StrokeValueOutOfRange;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\School;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;

/**
 * A full pattern thinned for learning: level 1 keeps the beats, level 2 adds the strongest off-beats, level 3 is
 * everything. What the teacher set for a stroke counts before its weight. Directions stay as the full pattern has them.
 */
final readonly class Levels
{
    public const HIGHEST = 3;

    /** The plan of a thinned pattern: what is left out goes through air. */
    public function planned(HandPlan $plan, School $school, int $level): HandPlan
    {
        $thinned = $this->thinned($plan->pattern, $level);
        $left = array_map(static fn (Stroke $stroke): int => $stroke->at, $thinned->strokes());
        $air = $plan->air;
        foreach ($school->passesThroughAir() ? $plan->pattern->strokes() : [] as $stroke) {
            if (! in_array($stroke->at, $left, true)) {
                $air[] = new AirStroke($stroke->at, $stroke->division, $stroke->direction ?? Direction::Down);
            }
        }
        usort($air, static fn (AirStroke $a, AirStroke $b): int => $a->at <=> $b->at);

        return new HandPlan($thinned, $air, $plan->warnings);
    }

    /** @return list<int> the levels at which nothing is left out that the next one still has */
    public function sameAsAbove(Pattern $pattern): array
    {
        $count = fn (int $level): int => count($this->thinned($pattern, $level)->strokes());

        return array_values(array_filter(
            range(1, self::HIGHEST - 1),
            static fn (int $level): bool => $count($level) === $count($level + 1),
        ));
    }

    /** @param Pattern $pattern with directions, which are kept */
    public function thinned(Pattern $pattern, int $level): Pattern
    {
        if ($level < 1 || $level > self::HIGHEST) {
            throw new StrokeValueOutOfRange('level', 'is 1, 2 or 3.');
        }
        if ($level === self::HIGHEST) {
            return $pattern;
        }
        $levels = $this->of($pattern);

        return $pattern->withStreams(array_map(static fn (Stream $stream): Stream => new Stream($stream->name, array_map(
            static fn (Stroke $stroke): Stroke => $stroke->plain(),
            array_values(array_filter($stream->strokes, static fn (Stroke $stroke): bool => $levels[$stroke->at] <= $level)),
        )), $pattern->streams));
    }

    /** @return array<int, int> tick => the level from which the stroke there is played */
    public function of(Pattern $pattern): array
    {
        $meter = $pattern->meter;
        $beat = $meter->beatTicks();
        $own = [];
        $weights = [];
        foreach ($pattern->strokes() as $stroke) {
            $weights[$stroke->at] = $meter->weightAt($stroke->at % $meter->barTicks());
            if ($stroke->level !== null) {
                $own[$stroke->at] = $stroke->level;
            }
        }
        $beats = array_keys(array_filter($weights, static fn (int $weight, int $at): bool => $at % $beat === 0, ARRAY_FILTER_USE_BOTH));
        $first = $beats !== [] ? $beats : self::everyOtherOfTheHeaviest($weights);
        $rest = array_diff_key($weights, array_flip($first));
        $strongest = $rest === [] ? 0 : max($rest);
        $levels = [];
        foreach ($weights as $at => $weight) {
            $levels[$at] = $own[$at] ?? (in_array($at, $first, true) ? 1 : ($weight === $strongest ? 2 : self::HIGHEST));
        }

        return $levels;
    }

    /**
     * A part without beats keeps its heaviest slots, every other one of them.
     *
     * @param array<int, int> $weights by tick
     *
     * @return list<int>
     */
    private static function everyOtherOfTheHeaviest(array $weights): array
    {
        if ($weights === []) {
            return [];
        }
        $heaviest = array_keys($weights, max($weights), true);

        return array_values(array_filter($heaviest, static fn (int $place): bool => $place % 2 === 0, ARRAY_FILTER_USE_KEY));
    }
}
