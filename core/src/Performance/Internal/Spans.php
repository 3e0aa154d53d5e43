<?php

declare(strict_types=1);

namespace Gravik\Performance\Internal;

use Gravik\Band\Role;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Playing;
use Gravik\Chart\Course;
use Gravik\Performance\HandInUse;
use Gravik\Performance\Span;
use Gravik\Strokes\Hand\HandPlanner;
use Gravik\Strokes\Hand\Levels;
use Gravik\Time\Feel;
use Gravik\Time\Ruler;
use Gravik\Time\TimeMap;

/**
 * Which pattern the guitar plays where, over which grips. A pattern begins anew with each section, unless it runs on
 * through those that follow one another with it.
 *
 * @internal used by Performer
 */
final readonly class Spans
{
    public function __construct(private HandPlanner $planner) {}

    /**
     * @param int $level 1 to 3: how far patterns are thinned at most
     *
     * @return list<Span> in order of time; none where the guitar is out
     */
    public function of(Breakdown $breakdown, Course $course, TimeMap $map, int $level): array
    {
        $guitar = $breakdown->guitar()->id;
        $hands = [];
        $slots = [];
        $spans = [];
        $before = null;
        foreach ($course->visits as $visit) {
            $playing = $breakdown->cellFor($visit->pass, $visit->section->id, $guitar, $visit->time);
            if ($playing->role === Role::Out) {
                $before = null;

                continue;
            }
            $last = $playing->pattern->runsOn && $before?->equals($playing) === true ? array_pop($spans) : null;
            $before = $playing;
            if ($last !== null) {
                $spans[] = new Span($last->from, $visit->until(), $last->hand, $last->line);

                continue;
            }
            $id = $playing->pattern->id;
            $thinned = min($level, $playing->level);
            $ruler = $map->at($visit->tick)->ruler;
            $key = $id.' '.$thinned.' '.$ruler->tempo->bpm.' '.$ruler->ratio.' '.$ruler->unit->value;
            $slots[$id] ??= self::next($hands);
            $hands[$key] ??= $this->hand($playing, $visit->setting->feel, $ruler, $thinned, $slots[$id]);
            $spans[] = new Span($visit->tick, $visit->until(), $hands[$key], $playing->line);
        }

        return $spans;
    }

    private function hand(Playing $playing, Feel $feel, Ruler $ruler, int $level, int $firstSlot): HandInUse
    {
        $plan = $this->planner->plan($playing->pattern->pattern, $playing->pattern->school, $ruler, $feel);

        return new HandInUse($playing->pattern, (new Levels())->planned($plan, $playing->pattern->school, $level), $firstSlot);
    }

    /** @param array<string, HandInUse> $hands */
    private static function next(array $hands): int
    {
        return max([0, ...array_map(static fn (HandInUse $hand): int => $hand->firstSlot + $hand->slots(), array_values($hands))]);
    }
}
