<?php

declare(strict_types=1);

namespace Gravik\Listening\Hearing\Internal;

/**
 * The weighted line through the partials of a sweep: when each was reached, by how high it is.
 *
 * @internal used by SweepReader
 */
final readonly class PartialsLine
{
    /**
     * @param non-empty-list<array{octave: float, ms: float, weight: float}> $points
     * @param float                                                          $weights of all together, above 0
     *
     * @return array{float, float} ms an octave, + when the low ones come first; and how far they lie from the line, ms, as the
     *                             root of the mean square
     */
    public static function through(array $points, float $weights): array
    {
        $octave = $ms = 0.0;
        foreach ($points as $point) {
            $octave += $point['weight'] * $point['octave'] / $weights;
            $ms += $point['weight'] * $point['ms'] / $weights;
        }
        $along = $across = $high = 0.0;
        foreach ($points as $point) {
            $along += $point['weight'] * ($point['octave'] - $octave) * ($point['ms'] - $ms) / $weights;
            $across += $point['weight'] * ($point['octave'] - $octave) ** 2 / $weights;
            $high += $point['weight'] * ($point['ms'] - $ms) ** 2 / $weights;
        }

        return $across > 0 ? [$along / $across, sqrt(max(0.0, $high - $along * $along / $across))] : [0.0, 0.0];
    }
}
