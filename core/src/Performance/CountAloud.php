<?php

declare(strict_types=1);

namespace Gravik\Performance;

use Gravik\Strokes\Pattern;
use Gravik\Strokes\Stroke;

/** The syllables of the patterns as clicks: when each is said, and how deep in the beat it lies. */
final readonly class CountAloud
{
    public const BAR = 0;

    public const BEAT = 1;

    /** & of halves and quarters, each third */
    public const DIVISION = 2;

    /** e and a, ta */
    public const FINER = 3;

    /**
     * Every beat is counted as the pattern that is played divides it there; one that no stroke divides by its number alone.
     *
     * @return list<array{t: float, depth: int}> through the whole song, in order of time
     */
    public static function through(Timeline $timeline): array
    {
        $divisions = [];
        $said = [];
        foreach ($timeline->course->bars as $bar) {
            $beatTicks = $bar->meter->beatTicks();
            $span = $timeline->spanAt($bar->tick);
            $pattern = $span !== null && $span->hand->named->pattern->meter->equals($bar->meter) ? $span->hand->named->pattern : null;
            for ($beat = 0; $beat < $bar->meter->beats(); $beat++) {
                $tick = $bar->tick + $beat * $beatTicks;
                $division = 1;
                if ($span !== null && $pattern !== null) {
                    $divisions[$span->hand->named->id] ??= self::divisions($pattern, $beatTicks);
                    $division = $divisions[$span->hand->named->id][intdiv($span->inPattern($tick), $beatTicks)] ?? 1;
                }
                for ($slot = 0; $slot < $division; $slot++) {
                    $said[] = [
                        't' => $timeline->map->secondsAt($tick + $slot * intdiv($beatTicks, $division), $division),
                        'depth' => $slot === 0
                            ? ($beat === 0 ? self::BAR : self::BEAT)
                            : ($division > 3 && $slot % 2 === 1 ? self::FINER : self::DIVISION),
                    ];
                }
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
