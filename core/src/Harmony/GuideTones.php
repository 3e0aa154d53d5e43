<?php

declare(strict_types=1);

namespace Gravik\Harmony;

/** The tones that tell a chord from others: its third (fourth, second) and its seventh or sixth. */
final readonly class GuideTones
{
    private const THIRDS = [3, 4, 2];

    private const SEVENTHS = [7, 6];

    /** @return list<int> pitch classes, the third first; root and fifth where the chord has neither */
    public static function of(ChordSymbol $chord): array
    {
        $tones = array_filter(
            [self::first($chord, self::THIRDS), self::first($chord, self::SEVENTHS)],
            static fn (?int $tone): bool => $tone !== null,
        );
        $root = $chord->rootPitchClass();
        if (count($tones) < 2) {
            $tones[] = self::first($chord, [5]) ?? ($root + 7) % 12;
        }

        return array_values(array_unique(count($tones) < 2 ? [$root, ...$tones] : $tones));
    }

    /** @param list<int> $numbers */
    private static function first(ChordSymbol $chord, array $numbers): ?int
    {
        foreach ($numbers as $number) {
            foreach ($chord->degrees() as $degree) {
                if ($degree->number === $number) {
                    return ($chord->rootPitchClass() + $degree->semitones()) % 12;
                }
            }
        }

        return null;
    }
}
