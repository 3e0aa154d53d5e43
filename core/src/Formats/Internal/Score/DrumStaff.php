<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Score;

/**
 * Where a drum stands on its staff, by its number in General MIDI.
 *
 * @internal used by MusicXmlFile
 */
final readonly class DrumStaff
{
    private const PLACES = [
        35 => ['F', 4], 36 => ['F', 4], 37 => ['C', 5], 38 => ['C', 5], 40 => ['C', 5], 41 => ['A', 4], 42 => ['G', 5], 43 => ['A', 4],
        44 => ['D', 4], 45 => ['D', 5], 46 => ['G', 5], 47 => ['D', 5], 48 => ['E', 5], 49 => ['A', 5], 50 => ['E', 5], 51 => ['F', 5],
        53 => ['F', 5], 54 => ['B', 4], 56 => ['E', 5], 59 => ['F', 5],
    ];

    /** @return array{string, int} step and octave; the middle line for what has no place of its own */
    public static function of(int $midi): array
    {
        return self::PLACES[$midi] ?? ['B', 4];
    }
}
