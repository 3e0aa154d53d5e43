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

    /** @return list<?float> dB in the order in which they are heard; null without the part */
    public static function gains(): array
    {
        return [null, ...self::GAINS];
    }

    /** How loud the guitar is then, as a listener is told; null is the band without it. */
    public static function words(?float $gainDb): string
    {
        return match (true) {
            $gainDb === null => 'without the guitar',
            $gainDb === 0.0 => 'guitar as written',
            default => sprintf('guitar %s, %s%g dB', $gainDb < 0 ? 'softer' : 'louder', $gainDb < 0 ? '−' : '+', abs($gainDb)),
        };
    }

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
