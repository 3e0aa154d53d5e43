<?php

declare(strict_types=1);

namespace Gravik\Listening\Hearing\Internal;

use Gravik\Listening\Hearing\HeardStroke;
use Gravik\Listening\Hearing\TuningHeard;

/**
 * Measures how a recording is tuned from the partials of its ringing strokes: how far each lies from the nearest half
 * step, the louder counting more. Half steps go round in a circle, so their mean is taken on one.
 *
 * @internal used by StrokeListener
 */
final class TuningMeter
{
    /** Strokes that are looked at: those that ring longest. */
    private const LOOKED_AT = 24;

    private const FEWEST = 3;

    /** Seconds after the attack, when it has settled, and of the window at least. */
    private const SETTLED = 0.06;

    private const SHORTEST_WINDOW = 0.4;

    /** Partials that are looked at, Hz: above, the higher partials of low strings lie between the half steps. */
    private const LOWEST_HZ = 58.0;

    private const HIGHEST_HZ = 720.0;

    /** A partial this far below the loudest, in dB, counts for nothing. */
    private const FAINTEST_DB = 35.0;

    /** The lowest note sounds in so many strokes, so far below the loudest partial at most. */
    private const LOW_STROKES = 2;

    private const LOW_DB = 16.0;

    /** Around the mean so many cents are averaged again, so that odd partials do not pull. */
    private const NEAR = 12.0;

    /** @param list<HeardStroke> $strokes */
    public static function measure(Envelopes $envelopes, array $strokes): ?TuningHeard
    {
        $ringing = array_values(array_filter(
            $strokes,
            static fn (HeardStroke $stroke): bool => ! $stroke->muted && $stroke->seconds >= self::SHORTEST_WINDOW / 2,
        ));
        usort($ringing, static fn (HeardStroke $a, HeardStroke $b): int => $b->seconds <=> $a->seconds);
        $ringing = array_slice($ringing, 0, self::LOOKED_AT);
        if (count($ringing) < self::FEWEST) {
            return null;
        }
        $size = 2 ** (int) ceil(log(self::SHORTEST_WINDOW * $envelopes->slowRate, 2));
        $spectrum = new Spectrum($size);
        $window = static fn (HeardStroke $stroke): array => $envelopes->slow($stroke->t + self::SETTLED, $size);
        $partials = [];
        $lows = [];
        foreach (array_chunk($ringing, 2) as $two) {
            foreach (array_slice($spectrum->energies($window($two[0]), $window($two[1] ?? $two[0])), 0, count($two)) as $energies) {
                $found = self::partials($energies, $envelopes->slowRate / $size);
                array_push($partials, ...$found);
                $low = array_filter($found, static fn (array $partial): bool => $partial['below'] <= self::LOW_DB);
                if ($low !== []) {
                    $lows[] = min(array_column($low, 'pitch'));
                }
            }
        }
        $cents = self::circularMean($partials, null);
        if ($cents === null) {
            return null;
        }

        $cents = self::circularMean($partials, $cents) ?? $cents;

        return new TuningHeard(
            $cents,
            self::lowest(array_map(static fn (float $pitch): int => (int) round($pitch - $cents / 100), $lows)),
            count($ringing),
        );
    }

    /**
     * @param list<float> $energies of bins from 1
     *
     * @return list<array{pitch: float, below: float}> pitch in MIDI numbers, dB below the loudest
     */
    private static function partials(array $energies, float $binHz): array
    {
        $from = max(1, (int) (self::LOWEST_HZ / $binHz) - 1);
        $until = min(count($energies) - 2, (int) (self::HIGHEST_HZ / $binHz));
        $loudest = max(1e-15, ...array_slice($energies, $from, max(1, $until - $from)));
        $partials = [];
        for ($k = $from; $k <= $until; $k++) {
            $below = 10 * log10($loudest / max(1e-15, $energies[$k]));
            if ($below > self::FAINTEST_DB || $energies[$k] <= $energies[$k - 1] || $energies[$k] < $energies[$k + 1]) {
                continue;
            }
            [$left, $here, $right] = [log($energies[$k - 1] + 1e-15), log($energies[$k]), log($energies[$k + 1] + 1e-15)];
            $hz = ($k + 1 + ($left - $right) / (2 * ($left - 2 * $here + $right))) * $binHz;
            $partials[] = ['pitch' => 69 + 12 * log($hz / 440, 2), 'below' => $below];
        }

        return $partials;
    }

    /**
     * @param list<array{pitch: float, below: float}> $partials
     * @param ?float                                  $around   only those near this many cents, where given
     */
    private static function circularMean(array $partials, ?float $around): ?float
    {
        $x = $y = 0.0;
        foreach ($partials as $partial) {
            $cents = 100 * ($partial['pitch'] - round($partial['pitch']));
            $apart = $around === null ? 0.0 : abs($cents - $around);
            if (min($apart, 100 - $apart) > self::NEAR) {
                continue;
            }
            $weight = self::FAINTEST_DB - $partial['below'];
            $x += $weight * cos(2 * M_PI * $cents / 100);
            $y += $weight * sin(2 * M_PI * $cents / 100);
        }

        return $x === 0.0 && $y === 0.0 ? null : 100 * atan2($y, $x) / (2 * M_PI);
    }

    /** @param list<int> $lows */
    private static function lowest(array $lows): int
    {
        $counts = array_filter(array_count_values($lows), static fn (int $count): bool => $count >= self::LOW_STROKES);

        return $counts === [] ? min([127, ...$lows]) : min(array_keys($counts));
    }
}
