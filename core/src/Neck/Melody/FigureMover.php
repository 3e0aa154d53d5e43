<?php

declare(strict_types=1);

namespace Gravik\Neck\Melody;

use Gravik\Harmony\ChordSymbol;
use Gravik\Neck\Neck;

/**
 * Carries a figure to another chord, key or octave and lays it out near the hand: of all ways to play its notes the one
 * whose frets lie nearest to the hand's four, then with the fewest strings crossed, then with the shortest way between frets.
 * It keeps to the octave nearest to where it was, unless another spares every note more than five frets outside the hand.
 * Notes that lie nowhere on the neck are told as null.
 */
final readonly class FigureMover
{
    public const HIGHEST_FRET = 22;

    /** Another octave is worth so many frets outside the hand for each note. */
    private const OCTAVE = 5;

    /** The hand's fingers lie over so many frets. */
    private const HAND = 4;

    /** A note that cannot be had counts more than any way of the hand to one that can. */
    private const MISSING = 1_000_000_000;

    /** Outside the hand counts more than all crossings of a figure, a crossing more than all its frets. */
    private const OUTSIDE = 1_000_000;

    private const CROSSING = 1_000;

    /** Notes struck together span at most so many frets. */
    private const WIDEST = 4;

    public function __construct(private Neck $neck) {}

    /**
     * What a figure over one chord is over another: degrees of the chord become the same degrees of the other (3 becomes ♭3),
     * what is strange to it keeps its distance from the root.
     *
     * @param list<list<RiffNote>> $steps   what is struck together, one after the other
     * @param int                  $octaves up or down from where it lies nearest to the hand
     * @param int                  $near    fret of the hand's first finger
     * @param array<int, array<int, RiffNote>> $fixed by step and note: where it is played whatever the rule says
     * @param bool $follows whether the hand goes along by as many octaves, or stays
     *
     * @return list<list<?RiffNote>>
     */
    public function overChord(
        array $steps,
        ChordSymbol $from,
        ChordSymbol $to,
        int $octaves,
        int $near,
        array $fixed = [],
        bool $follows = true,
    ): array {
        return $this->nearest(self::pitchesOverChord($steps, $from, $to), $octaves, $near, $fixed, $follows);
    }

    /**
     * The notes alone, by the same rule, wherever they lie.
     *
     * @param list<list<RiffNote>> $steps
     *
     * @return list<list<int>> MIDI numbers
     */
    public static function pitchesOverChord(array $steps, ChordSymbol $from, ChordSymbol $to): array
    {
        $by = ($to->rootPitchClass() - $from->rootPitchClass() + 18) % 12 - 6;

        return array_map(static fn (array $step): array => array_map(
            static fn (RiffNote $note): int => $note->midi + $by + self::altered($from, $to, $note->midi),
            $step,
        ), $steps);
    }

    /**
     * @param list<list<RiffNote>> $steps
     * @param array<int, array<int, RiffNote>> $fixed by step and note: where it is played whatever the rule says
     * @param bool $follows whether the hand goes along by as many octaves, or stays
     *
     * @return list<list<?RiffNote>> every note as many semitones away, in the octave that lies nearest to the hand and as many from it
     */
    public function transposed(array $steps, int $semitones, int $octaves, int $near, array $fixed = [], bool $follows = true): array
    {
        return $this->nearest(self::pitchesTransposed($steps, $semitones), $octaves, $near, $fixed, $follows);
    }

    /**
     * @param list<list<RiffNote>> $steps
     *
     * @return list<list<int>> MIDI numbers
     */
    public static function pitchesTransposed(array $steps, int $semitones): array
    {
        return array_map(
            static fn (array $step): array => array_map(static fn (RiffNote $note): int => $note->midi + $semitones, $step),
            $steps,
        );
    }

    /** By how many semitones a chord tone changes where the other chord has its degree altered otherwise. */
    private static function altered(ChordSymbol $from, ChordSymbol $to, int $midi): int
    {
        if (! $from->has($midi)) {
            return 0;
        }
        $degree = $from->degreeOf($midi % 12);
        if ($to->has($midi - $from->rootPitchClass() + $to->rootPitchClass())) {
            return 0;
        }
        foreach ($to->degrees() as $other) {
            if ($other->number === $degree->number) {
                return $other->alter - $degree->alter;
            }
        }

        return 0;
    }

    /**
     * @param list<list<int>> $steps MIDI numbers
     * @param array<int, array<int, RiffNote>> $fixed
     *
     * @return list<list<?RiffNote>>
     */
    private function nearest(array $steps, int $octaves, int $near, array $fixed, bool $follows): array
    {
        [$least, $nearest] = $this->layOut($steps, $near, $fixed);
        $at = 0;
        foreach ([-12, 12, -24, 24] as $shift) {
            $fare = self::OUTSIDE * self::OCTAVE * intdiv(abs($shift), 12) * count(array_merge([], ...$steps));
            if ($fare >= $least) {
                continue;
            }
            [$cost, $laid] = $this->layOut(self::raised($steps, $shift), $near, $fixed);
            if ($fare + $cost < $least) {
                [$least, $nearest, $at] = [$fare + $cost, $laid, $shift];
            }
        }

        return $octaves === 0
            ? $nearest
            : $this->layOut(self::raised($steps, $at + 12 * $octaves), $near + ($follows ? 12 * $octaves : 0), $fixed)[1];
    }

    /**
     * @param list<list<int>> $steps
     *
     * @return list<list<int>>
     */
    private static function raised(array $steps, int $by): array
    {
        return array_map(static fn (array $step): array => array_map(static fn (int $midi): int => $midi + $by, $step), $steps);
    }

    /**
     * The cheapest of all ways to play these notes, by the cheapest way to each way of playing each step.
     *
     * @param list<list<int>> $steps
     * @param array<int, array<int, RiffNote>> $fixed
     *
     * @return array{int, list<list<?RiffNote>>} its cost, and the notes
     */
    private function layOut(array $steps, int $near, array $fixed): array
    {
        $costs = [0];
        $ways = [[]];
        $before = [[]];
        foreach ($steps as $number => $step) {
            $layer = $this->waysOf($step, $fixed[$number] ?? []);
            $next = $came = [];
            foreach ($layer as $choice => $way) {
                $least = PHP_INT_MAX;
                foreach ($before as $place => $last) {
                    $cost = $costs[$place] + $this->cost($last, $way, $near);
                    if ($cost < $least) {
                        [$least, $came[$choice]] = [$cost, $place];
                    }
                }
                $next[$choice] = $least;
            }
            $ways = array_map(static fn (array $way, int $from): array => [...$ways[$from], $way], $layer, $came);
            [$costs, $before] = [$next, $layer];
        }
        $best = (int) array_search(min($costs), $costs, true);

        return [$costs[$best], $ways[$best]];
    }

    /**
     * @param list<int>            $midis struck together
     * @param array<int, RiffNote> $fixed by their order among them
     *
     * @return non-empty-list<list<?RiffNote>> every way to play them at once, a note that cannot be had left out in all
     */
    private function waysOf(array $midis, array $fixed): array
    {
        $ways = [$fixed];
        foreach (array_diff_key($midis, $fixed) as $order => $midi) {
            $places = $this->placesOf($midi);
            $more = [];
            foreach ($ways as $way) {
                foreach ($places as $place) {
                    if (self::together($way, $place)) {
                        $more[] = $way + [$order => $place];
                    }
                }
            }
            $ways = $more !== [] ? $more : array_map(static fn (array $way): array => $way + [$order => null], $ways);
        }

        return array_map(static fn (array $way): array => array_map(
            static fn (int $order): ?RiffNote => $way[$order],
            array_keys($midis),
        ), $ways);
    }

    /** @return list<RiffNote> */
    private function placesOf(int $midi): array
    {
        $open = $this->neck->openMidi();
        $places = [];
        foreach ($open as $index => $sounds) {
            $fret = $midi - $sounds;
            if ($fret >= 0 && $fret <= self::HIGHEST_FRET - $this->neck->capo) {
                $places[] = new RiffNote(count($open) - $index, $fret, $midi);
            }
        }

        return $places;
    }

    /** @param array<int, ?RiffNote> $way */
    private static function together(array $way, RiffNote $note): bool
    {
        foreach ($way as $other) {
            if ($other !== null && ($other->string === $note->string
                || ($other->fret > 0 && $note->fret > 0 && abs($other->fret - $note->fret) > self::WIDEST))) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param list<?RiffNote> $from struck before
     * @param list<?RiffNote> $to
     */
    public function cost(array $from, array $to, int $near): int
    {
        $cost = 0;
        foreach ($to as $note) {
            $cost += $note === null ? self::MISSING : 0;
            // Open strings go with the lowest place of the hand alone.
            $below = $note === null ? 0 : ($note->fret === 0 ? $near - 1 : $near - $note->fret);
            $cost += $note === null ? 0 : self::OUTSIDE * max(0, $below, $note->fret - ($near + self::HAND - 1));
        }
        [$last, $first] = [array_values(array_filter($from)), array_values(array_filter($to))];
        if ($last !== [] && $first !== []) {
            $cost += self::CROSSING * abs($last[0]->string - $first[0]->string) + abs($last[0]->fret - $first[0]->fret);
        }

        return $cost;
    }
}
