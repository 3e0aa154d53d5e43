<?php

declare(strict_types=1);

namespace Gravik\Neck\Line;

use Gravik\Neck\Finder\VoicingFinder;
use Gravik\Neck\FretRange;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\HandProfile;
use Gravik\Neck\Neck;
use Gravik\Neck\NeckException;

/**
 * A grip carried to another tuning. It stays where it is if it sounds the same there; else the same notes on other frets where
 * one hand can hold them, found by trying every
 * way to lay them on the strings; else the grip of the same chord whose notes lie nearest.
 */
final readonly class TuningConverter
{
    private const BOX = 3;

    public function __construct(
        private Neck $to,
        private VoicingFinder $finder,
        private HandProfile $hand = new HandProfile(),
        private FretRange $range = new FretRange(),
    ) {}

    /** @throws NeckException where the chord has no grip in the other tuning */
    public function convert(Voicing $grip): Voicing
    {
        return $this->samePlaces($grip) ?? $this->sameNotes($grip) ?? $this->nearest($grip);
    }

    /** @return ?Voicing the same frets, where every string that sounds has kept its pitch */
    private function samePlaces(Voicing $grip): ?Voicing
    {
        $stays = count($grip->frets) === count($this->to->openMidi()) ? $this->finder->voicing($grip->chord, $grip->frets) : null;

        return $stays?->midi === $grip->midi ? $stays : null;
    }

    /** @return ?Voicing the easiest grip that sounds exactly these notes; null where no hand holds them in this tuning */
    public function sameNotes(Voicing $grip): ?Voicing
    {
        $notes = array_values(array_filter($grip->midi, static fn (?int $midi): bool => $midi !== null));
        sort($notes);
        $best = null;
        foreach ($this->layings($notes, 0, []) as $frets) {
            $voicing = $this->finder->voicing($grip->chord, $frets);
            if ($voicing !== null && $voicing->spanMm <= $this->hand->reachMm() && ($best === null || $voicing->rank < $best->rank)) {
                $best = $voicing;
            }
        }

        return $best;
    }

    /**
     * Every way to lay these notes on the strings, a note a string, within one hand's box.
     *
     * @param list<int>            $notes
     * @param array<int, int>      $taken string index => fret
     *
     * @return list<list<int|null>>
     */
    private function layings(array $notes, int $place, array $taken): array
    {
        $open = $this->to->openMidi();
        if ($place === count($notes)) {
            return [array_map(static fn (int $string): ?int => $taken[$string] ?? null, array_keys($open))];
        }
        $found = [];
        foreach ($open as $string => $midi) {
            $fret = $notes[$place] - $midi;
            $fretted = array_filter([...$taken, $fret], static fn (int $each): bool => $each > 0);
            if (
                ! isset($taken[$string])
                && $fret >= $this->range->lowest
                && $fret <= $this->range->highest
                && ($fretted === [] || max($fretted) - min($fretted) <= self::BOX)
            ) {
                array_push($found, ...$this->layings($notes, $place + 1, $taken + [$string => $fret]));
            }
        }

        return $found;
    }

    private function nearest(Voicing $grip): Voicing
    {
        $found = $this->finder->find($grip->chord, PathFinder::CANDIDATES)->best;
        usort($found, static fn (Voicing $a, Voicing $b): int => [self::apart($grip, $a), $a->rank] <=> [self::apart($grip, $b), $b->rank]);

        return $found[0];
    }

    /** Semitones from each note of one grip to the nearest of the other, both ways. */
    private static function apart(Voicing $one, Voicing $other): int
    {
        $sum = 0;
        foreach ([[$one, $other], [$other, $one]] as [$from, $to]) {
            $there = array_filter($to->midi, static fn (?int $midi): bool => $midi !== null);
            foreach ($from->midi as $note) {
                $sum += $note === null || $there === [] ? 0 : min(array_map(static fn (int $midi): int => abs($midi - $note), $there));
            }
        }

        return $sum;
    }
}
