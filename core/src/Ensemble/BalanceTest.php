<?php

declare(strict_types=1);

namespace Gravik\Ensemble;

use Gravik\Band\BandPart;

/**
 * The gains at which a part is tried in the band, one after the other: without it, a little, as it is written, a lot. Whoever
 * judges sits where the listeners sit.
 */
final readonly class BalanceTest
{
    /** dB against how it is written; 6 dB is twice the sound pressure. */
    private const GAINS = [-6.0, 0.0, 6.0];

    /** @return list<array{gainDb: ?float, level: float}> gain, and the loudness that the part has with it, 0 to 1 */
    public static function steps(BandPart $part): array
    {
        return [
            ['gainDb' => null, 'level' => 0.0],
            ...array_map(static fn (float $gain): array => [
                'gainDb' => $gain,
                'level' => min(1.0, round($part->level * 10 ** ($gain / 20), 2)),
            ], self::GAINS),
        ];
    }
}
