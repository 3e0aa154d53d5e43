<?php

declare(strict_types=1);

namespace Gravik\Listening\Hearing\Internal;

use Gravik\Listening\Hearing\NotesHeard;

/**
 * Tells which notes sound at each moment. The spectrum on a scale of thirds of a half step, each place against the usual
 * level around it, is explained as a sum of notes, each with its harmonics, none less than nothing: non-negative least
 * squares by multiplicative steps (Lee and Seung's), which leave to a low note's harmonics what they explain.
 *
 * @internal used by NotesEar
 */
final class NoteMeter
{
    /** Seconds; the window is the next power of two of samples: long enough to part two low notes a whole step apart. */
    private const SHORTEST_WINDOW = 0.25;

    /** Places of the scale, from LOWEST_PLACE (MIDI) on. */
    private const A_HALF_STEP = 3;

    private const LOWEST_PLACE = 36;

    private const PLACES = 183;

    /** Levels are held against those within so many places, half an octave. */
    private const AROUND = 18;

    private const HARMONICS = 10;

    /** Each harmonic of a note against the one below it. */
    private const FALLS = 0.7;

    /** Half the width of a partial in the spectrum, places and bins. */
    private const WIDTH_PLACES = 1.6;

    private const WIDTH_BINS = 1.6;

    private const ROUNDS = 30;

    private const BEGINS_AT = 0.1;

    private const NOTHING = 1e-6;

    private readonly Spectrum $spectrum;

    private readonly float $binHz;

    /** @var list<float> where each place lies among the bins */
    private array $bins = [];

    /** @var list<array<int, float>> place => share, of each note */
    private array $notes = [];

    /** @var list<array<int, float>> what notes have in common: note => product of the two */
    private array $common = [];

    /** @param float $cents the recording's tuning from A = 440, + sharp */
    public function __construct(private readonly Envelopes $envelopes, float $cents)
    {
        $this->spectrum = new Spectrum(2 ** (int) ceil(log(self::SHORTEST_WINDOW * $envelopes->slowRate, 2)));
        $this->binHz = $envelopes->slowRate / $this->spectrum->size;
        for ($place = 0; $place < self::PLACES; $place++) {
            // The first bin told is the second of the transform.
            $this->bins[] = self::hz(self::LOWEST_PLACE + $place / self::A_HALF_STEP + $cents / 100) / $this->binHz - 1;
        }
        for ($midi = NotesHeard::LOWEST; $midi <= NotesHeard::HIGHEST; $midi++) {
            $this->notes[] = $this->note($midi);
        }
        foreach ($this->notes as $note => $own) {
            $this->common[$note] = array_filter(
                array_map(static fn (array $other): float => self::product($own, $other), $this->notes),
                static fn (float $shared): bool => $shared > 1e-4,
            );
        }
    }

    public function measure(): NotesHeard
    {
        $window = $this->spectrum->size / $this->envelopes->slowRate;
        $moments = [];
        $middles = [];
        for ($t = NotesHeard::STEP / 2; $t < $this->envelopes->frames() / Envelopes::FRAMES_A_SECOND; $t += NotesHeard::STEP) {
            $middles[] = $t;
        }
        foreach (array_chunk($middles, 2) as $two) {
            $first = $this->envelopes->slow($two[0] - $window / 2, $this->spectrum->size);
            $second = $this->envelopes->slow(($two[1] ?? $two[0]) - $window / 2, $this->spectrum->size);
            foreach (array_slice($this->spectrum->energies($first, $second), 0, count($two)) as $energies) {
                $moments[] = $this->explained($this->levels($energies));
            }
        }

        return NotesHeard::of($moments);
    }

    /**
     * @param list<float> $energies of the bins
     *
     * @return list<float> amplitude at each place
     */
    private function levels(array $energies): array
    {
        $levels = [];
        foreach ($this->bins as $bin) {
            $below = (int) $bin;
            $share = $bin - $below;
            $levels[] = (1 - $share) * sqrt($energies[$below] ?? 0.0) + $share * sqrt($energies[$below + 1] ?? 0.0);
        }

        return $levels;
    }

    /**
     * @param list<float> $levels
     *
     * @return list<float> how much of each note sounds, in the recording's own amplitudes
     */
    private function explained(array $levels): array
    {
        $loud = array_sum($levels);
        if ($loud < self::NOTHING) {
            return array_fill(0, count($this->notes), 0.0);
        }
        $standing = $this->standingOut($levels);
        $wanted = array_map(static fn (array $note): float => self::product($note, $standing), $this->notes);
        $amounts = array_fill(0, count($this->notes), self::BEGINS_AT);
        for ($round = 0; $round < self::ROUNDS; $round++) {
            foreach ($amounts as $note => $amount) {
                $made = 1e-9;
                foreach ($this->common[$note] as $other => $shared) {
                    $made += $shared * $amounts[$other];
                }
                $amounts[$note] = max(self::NOTHING, $amount * $wanted[$note] / $made);
            }
        }

        return array_map(static fn (float $amount): float => $amount * $loud, $amounts);
    }

    /**
     * @param list<float> $levels
     *
     * @return list<float> how far each stands out of those around it, in their standard deviations, 0 or more
     */
    private function standingOut(array $levels): array
    {
        $sums = $squares = [0.0];
        foreach ($levels as $place => $level) {
            $sums[] = $sums[$place] + $level;
            $squares[] = $squares[$place] + $level * $level;
        }
        $standing = [];
        foreach ($levels as $place => $level) {
            $from = max(0, $place - self::AROUND);
            $until = min(self::PLACES, $place + self::AROUND + 1);
            $mean = ($sums[$until] - $sums[$from]) / ($until - $from);
            $spread = sqrt(max(1e-24, ($squares[$until] - $squares[$from]) / ($until - $from) - $mean * $mean));
            $standing[] = max(0.0, ($level - $mean) / $spread);
        }

        return $standing;
    }

    /** @return array<int, float> place => share of this note's harmonics there; its squares sum to 1 */
    private function note(int $midi): array
    {
        $shares = [];
        for ($harmonic = 1; $harmonic <= self::HARMONICS; $harmonic++) {
            $at = self::A_HALF_STEP * ($midi - self::LOWEST_PLACE + 12 * log($harmonic, 2));
            $placesAHz = self::A_HALF_STEP * 12 / (log(2) * $harmonic * self::hz($midi));
            $width = max(self::WIDTH_PLACES, self::WIDTH_BINS * $this->binHz * $placesAHz);
            for ($place = max(0, (int) ceil($at - $width)); $place < min(self::PLACES, $at + $width); $place++) {
                $shares[$place] = ($shares[$place] ?? 0.0)
                    + self::FALLS ** ($harmonic - 1) * (0.5 + 0.5 * cos(M_PI * ($place - $at) / $width));
            }
        }
        $length = sqrt(self::product($shares, $shares));

        return array_map(static fn (float $share): float => $share / $length, $shares);
    }

    private static function hz(float $midi): float
    {
        return 440 * 2 ** (($midi - 69) / 12);
    }

    /**
     * @param array<int, float> $one
     * @param array<int, float> $other
     */
    private static function product(array $one, array $other): float
    {
        $sum = 0.0;
        foreach ($one as $place => $share) {
            $sum += $share * ($other[$place] ?? 0.0);
        }

        return $sum;
    }
}
