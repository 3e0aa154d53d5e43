<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Score;

use Gravik\Chart\Course;

/**
 * Folds what is played several times in a row into repeats and endings. Only bars that are written alike in every part are
 * folded, so that the score plays bar for bar as it would unfolded.
 *
 * @internal used by MusicXmlFile
 */
final readonly class Repeats
{
    /** Of a section this share of its bars must be the same each time for the rest to be an ending. */
    private const SHARED = 0.5;

    /** @param list<list<ScoreBar>> $parts bars of every part */
    private function __construct(private Course $course, private array $parts) {}

    /**
     * @param non-empty-list<list<ScoreBar>> $parts bars of every part, as many as the course has
     *
     * @return list<WrittenBar> in the order in which they stand in the score
     */
    public static function of(Course $course, array $parts): array
    {
        $repeats = new self($course, $parts);
        $written = [];
        for ($visit = 0; $visit < count($course->visits); $visit += $times) {
            [$times, $shared] = $repeats->from($visit);
            array_push($written, ...$repeats->folded($visit, $times, $shared));
        }

        return $written;
    }

    /** @return array{int, int} how many visits are written as one, and how many of its bars they have in common */
    private function from(int $first): array
    {
        $visits = $this->course->visits;
        $best = [1, $visits[$first]->bars];
        $shared = $shortest = $longest = $visits[$first]->bars;
        for ($next = $first + 1; $next < count($visits) && $this->goesOn($first, $next); $next++) {
            $shared = min($shared, $this->sharedBars($first, $next));
            $shortest = min($shortest, $visits[$next]->bars);
            $longest = max($longest, $visits[$next]->bars);
            // An ending is one bar at least, each time.
            $common = $shared === $longest ? $shared : min($shared, $shortest - 1);
            if ($common < 1 || $common < self::SHARED * $longest) {
                break;
            }
            $best = [$next - $first + 1, $common];
        }

        return $best;
    }

    /** Whether nothing is set anew where a section comes again in the same pass. */
    private function goesOn(int $first, int $next): bool
    {
        [$a, $b] = [$this->course->visits[$first], $this->course->visits[$next]];

        return $a->section->id === $b->section->id && $a->pass === $b->pass && $b->bars > 0
            && array_filter($this->parts, static fn (array $bars): bool => $bars[$b->bar]->settings !== '') === [];
    }

    private function sharedBars(int $first, int $next): int
    {
        [$a, $b] = [$this->course->visits[$first], $this->course->visits[$next]];
        for ($bar = 0; $bar < min($a->bars, $b->bars); $bar++) {
            if (! $this->alike($a->bar + $bar, $b->bar + $bar)) {
                return $bar;
            }
        }

        return min($a->bars, $b->bars);
    }

    private function alike(int $a, int $b): bool
    {
        foreach ($this->parts as $bars) {
            if ($bars[$a]->music !== $bars[$b]->music) {
                return false;
            }
        }

        return true;
    }

    /** @return list<WrittenBar> */
    private function folded(int $first, int $times, int $shared): array
    {
        $visit = $this->course->visits[$first];
        if ($times === 1) {
            $bars = $visit->bars === 0 ? [] : range($visit->bar, $visit->bar + $visit->bars - 1);

            return array_map(static fn (int $bar): WrittenBar => new WrittenBar($bar), $bars);
        }
        $written = [];
        $alike = $shared === $visit->bars;
        for ($bar = 0; $bar < $shared; $bar++) {
            $written[] = new WrittenBar($visit->bar + $bar, opens: $bar === 0, back: $alike && $bar === $shared - 1 ? $times : null);
        }
        if ($alike) {
            return $written;
        }
        $endings = $this->endings($first, $times, $shared);
        foreach ($endings as $place => [$numbers, $from, $count]) {
            // The last ending is left for good; the others go back once more than they are played.
            $plays = count($numbers) + ($place < count($endings) - 1 ? 1 : 0);
            for ($bar = 0; $bar < $count; $bar++) {
                $last = $bar === $count - 1;
                $written[] = new WrittenBar(
                    $from + $bar,
                    back: $last && $plays > 1 ? $plays : null,
                    endingFrom: $bar === 0 ? $numbers : [],
                    endingUntil: $last ? $numbers : [],
                );
            }
        }

        return $written;
    }

    /** @return list<array{list<int>, int, int}> of which times, the first bar, how many bars */
    private function endings(int $first, int $times, int $shared): array
    {
        $endings = [];
        for ($time = 1; $time <= $times; $time++) {
            $visit = $this->course->visits[$first + $time - 1];
            [$from, $count] = [$visit->bar + $shared, $visit->bars - $shared];
            $last = array_key_last($endings);
            if ($last !== null && $endings[$last][2] === $count && $this->bothAlike($endings[$last][1], $from, $count)) {
                $endings[$last][0][] = $time;
            } else {
                $endings[] = [[$time], $from, $count];
            }
        }

        return $endings;
    }

    private function bothAlike(int $a, int $b, int $count): bool
    {
        for ($bar = 0; $bar < $count; $bar++) {
            if (! $this->alike($a + $bar, $b + $bar)) {
                return false;
            }
        }

        return true;
    }
}
