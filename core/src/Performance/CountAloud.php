<?php

declare(strict_types=1);

namespace Gravik\Performance;

use Gravik\Strokes\Pattern;
use Gravik\Strokes\Stroke;
use Gravik\Time\Ruler;

/** The syllables of a pattern as clicks: when each is said, and how deep in the beat it lies. */
final readonly class CountAloud
{
    public const BAR = 0;

    public const BEAT = 1;

    /** & of halves and quarters, each third */
    public const DIVISION = 2;

    /** e and a, ta */
    public const FINER = 3;

    /**
     * Every beat is counted as the pattern divides it there; one that no stroke divides is counted by its number alone.
     *
     * @return list<array{t: float, depth: int}> through so many bars, in order of time
     */
    public static function through(Pattern $pattern, int $bars, Ruler $ruler): array
    {
        $meter = $pattern->meter;
        $beatTicks = $meter->beatTicks();
        $divisions = self::divisions($pattern, $beatTicks);
        $said = [];
        for ($beat = 0; $beat < $bars * $meter->beats(); $beat++) {
            $division = $divisions[$beat % intdiv($pattern->ticks, $beatTicks)] ?? 1;
            for ($slot = 0; $slot < $division; $slot++) {
                $said[] = [
                    't' => $ruler->secondsAt($beat * $beatTicks + $slot * intdiv($beatTicks, $division), $division),
                    'depth' => $slot === 0 ? ($beat % $meter->beats() === 0 ? self::BAR : self::BEAT) : ($division > 3 && $slot % 2 === 1 ? self::FINER : self::DIVISION),
                ];
            }
        }

        return $said;
    }

    /** @return array<int, int> beat of the pattern => the finest division of its strokes */
    private static function divisions(Pattern $pattern, int $beatTicks): array
    {
        $divisions = [];
        foreach ($pattern->strokes() as $stroke) {
            $beat = intdiv($stroke->at, $beatTicks);
            $divisions[$beat] = max($divisions[$beat] ?? 1, self::needed($stroke, $beatTicks));
        }

        return $divisions;
    }

    /** A stroke on the beat divides nothing, whatever grid it was set on. */
    private static function needed(Stroke $stroke, int $beatTicks): int
    {
        return $stroke->at % $beatTicks === 0 ? 1 : $stroke->division;
    }
}
