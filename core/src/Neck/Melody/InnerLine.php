<?php

declare(strict_types=1);

namespace Gravik\Neck\Melody;

use Gravik\Harmony\ChordSymbol;
use Gravik\Neck\Finder\VoicingFinder;
use Gravik\Neck\FretRange;
use Gravik\Neck\Grip\Unsuitability;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\Neck;

/**
 * The turnaround on a held tonic: on two strings the tonic stays above while the voice below it falls ♭7 6 ♭6 5, a
 * fret a step. The pair of strings whose four grips are easiest together.
 */
final readonly class InnerLine
{
    /** The falling voice, and the endings that name each step best. */
    private const FALL = [[10, '7'], [9, '6'], [8, 'add♭6'], [7, '']];

    private const WIDEST = 4;

    public function __construct(private Neck $neck, private VoicingFinder $finder, private FretRange $range = new FretRange()) {}

    /** @return list<Voicing> four grips in order of time; empty where no two strings have room for it */
    public function over(ChordSymbol $tonic): array
    {
        $open = $this->neck->openMidi();
        $best = [];
        $least = INF;
        for ($low = 0; $low < count($open) - 1; $low++) {
            for ($high = $low + 1; $high <= min($low + 2, count($open) - 1); $high++) {
                foreach ($this->places($open[$low], $tonic->rootPitchClass() + self::FALL[0][0]) as $first) {
                    foreach ($this->places($open[$high], $tonic->rootPitchClass()) as $held) {
                        $grips = $this->grips($tonic, $low, $high, $first, $held);
                        $cost = array_sum(array_map(static fn (Voicing $grip): float => $grip->difficultySum(), $grips)) + 0.05 * $first;
                        if (
                            count($grips) === count(self::FALL)
                            && $open[$low] + $first < $open[$high] + $held
                            && $cost < $least
                            && self::isClear($grips)
                        ) {
                            [$best, $least] = [$grips, $cost];
                        }
                    }
                }
            }
        }

        return $best;
    }

    /** @param list<Voicing> $grips */
    private static function isClear(array $grips): bool
    {
        foreach ($grips as $grip) {
            $notes = array_values(array_filter($grip->midi, static fn (?int $midi): bool => $midi !== null));
            if ($notes !== [] && Unsuitability::isMuddy(min($notes), max($notes) - min($notes))) {
                return false;
            }
        }

        return true;
    }

    /** @return list<int> the frets at which a string sounds that pitch class */
    private function places(int $open, int $pitchClass): array
    {
        return array_values(array_filter(
            range($this->range->lowest, $this->range->highest),
            static fn (int $fret): bool => ($open + $fret - $pitchClass) % 12 === 0,
        ));
    }

    /** @return list<Voicing> */
    private function grips(ChordSymbol $tonic, int $low, int $high, int $first, int $held): array
    {
        $grips = [];
        foreach (self::FALL as $step => [, $ending]) {
            $fret = $first - $step;
            if ($fret < $this->range->lowest || ($held > 0 && $fret > 0 && abs($held - $fret) > self::WIDEST)) {
                return [];
            }
            $frets = array_fill(0, count($this->neck->openMidi()), null);
            $frets[$low] = $fret;
            $frets[$high] = $held;
            $grip = $this->finder->voicing(ChordSymbol::parse($tonic->root->text().$ending), array_values($frets));
            if ($grip === null) {
                return [];
            }
            $grips[] = $grip;
        }

        return $grips;
    }
}
