<?php

declare(strict_types=1);

namespace Gravik\Performance\Internal;

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Band\Role;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Playing;
use Gravik\Chart\Course;
use Gravik\Chart\Visit;
use Gravik\Performance\HandInUse;
use Gravik\Performance\Span;
use Gravik\Strokes\Hand\HandPlanner;
use Gravik\Strokes\Hand\Levels;
use Gravik\Time\Feel;
use Gravik\Time\Ruler;
use Gravik\Time\TimeMap;

/**
 * Which pattern a guitar plays where, over which grips. A pattern begins anew with each section, unless it runs on
 * through those that follow one another with it; one that single bars have of their own begins with them.
 *
 * @internal used by Performer
 */
final readonly class Spans
{
    public function __construct(private HandPlanner $planner) {}

    /**
     * @param BandPart $part  a guitar
     * @param int      $level 1 to 3: how far patterns are thinned at most
     *
     * @return list<Span> in order of time; none where the guitar is out
     */
    public function of(Breakdown $breakdown, BandPart $part, Course $course, TimeMap $map, int $level): array
    {
        $guitar = $part->id;
        $playings = self::playings($breakdown, $part, $course);
        $hands = [];
        $slots = [];
        $spans = [];
        $before = $last = null;
        foreach ($course->visits as $visit) {
            $whole = $breakdown->cellFor($visit->pass, $visit->section->id, $guitar, $visit->time)->pattern->id;
            foreach (self::runs($course, $visit, $playings) as [$playing, $from, $until]) {
                if ($playing->role === Role::Out) {
                    $before = $last = null;

                    continue;
                }
                $id = $playing->pattern->id;
                $begins = $id === $whole ? $visit->tick : $from;
                if ($last !== null && $playing->pattern->runsOn && $before?->equals($playing) === true) {
                    [$begins, $hand] = [$last->begins, $last->hand];
                } else {
                    $thinned = min($level, $playing->level);
                    $ruler = $map->at($from)->ruler;
                    $key = $id.' '.$thinned.' '.$ruler->tempo->bpm.' '.$ruler->ratio.' '.$ruler->unit->value;
                    $slots[$id] ??= self::next($hands);
                    $hand = $hands[$key] ??= $this->hand($playing, $visit->setting->feel, $ruler, $thinned, $slots[$id]);
                }
                $before = $playing;
                $spans[] = $last = new Span(
                    $from,
                    $until,
                    $begins,
                    $hand,
                    $playing->line,
                    $playing->texture,
                    $playing->dynamic,
                    $playing->level,
                    $playing->role,
                );
            }
        }

        return $spans;
    }

    /** @return list<Playing> one for each bar of the course; a second guitar in unison strikes the first one's strokes */
    private static function playings(Breakdown $breakdown, BandPart $part, Course $course): array
    {
        $playings = $breakdown->playings($course, $part->id);
        if ($part->instrument === Instrument::Guitar) {
            return $playings;
        }

        return array_map(
            static fn (Playing $own, Playing $first): Playing => $own->role === Role::Unison ? $own->striking($first) : $own,
            $playings,
            $breakdown->playings($course, $breakdown->guitar()->id),
        );
    }

    /**
     * @param list<Playing> $playings one for each bar of the course
     *
     * @return list<array{Playing, int, int}> bars in a row that are played alike, with the ticks from and until which
     */
    private static function runs(Course $course, Visit $visit, array $playings): array
    {
        $runs = [];
        for ($bar = $visit->bar; $bar < $visit->bar + $visit->bars; $bar++) {
            [$playing, $until] = [$playings[$bar], $course->bars[$bar]->until()];
            $last = array_pop($runs);
            if ($last !== null && $last[0]->equals($playing)) {
                $runs[] = [$last[0], $last[1], $until];
            } else {
                array_push($runs, ...$last === null ? [] : [$last], ...[[$playing, $course->bars[$bar]->tick, $until]]);
            }
        }

        return $runs;
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
