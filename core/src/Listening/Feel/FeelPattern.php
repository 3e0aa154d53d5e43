<?php

declare(strict_types=1);

namespace Gravik\Listening\Feel;

use Gravik\Listening\Statistics;
use Gravik\Strokes\Articulation;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;

/** The figure that a recording keeps coming back to: what is played at each slot in at least half of the bars. */
final readonly class FeelPattern
{
    private const OFTEN = 0.5;

    /** Two bars are worth writing when they differ in so many slots. */
    private const BARS_DIFFER = 2;

    /** Of one bar, or of two where every other bar goes another way; null where no slot comes back often enough. */
    public static function of(FeelReading $reading): ?Pattern
    {
        $two = self::strokes($reading, 2);
        $one = self::strokes($reading, 1);
        $inFirst = self::places($two, $reading->meter->barTicks(), 0);
        $inSecond = self::places($two, $reading->meter->barTicks(), 1);
        $differ = count(array_diff($inFirst, $inSecond)) + count(array_diff($inSecond, $inFirst));
        [$strokes, $bars] = $differ >= self::BARS_DIFFER ? [$two, 2] : [$one, 1];

        return $strokes === [] ? null : new Pattern($reading->meter, $bars * $reading->meter->barTicks(), [new Stream('strum', $strokes)]);
    }

    /** @return list<Stroke> */
    private static function strokes(FeelReading $reading, int $bars): array
    {
        $perBar = $reading->meter->beats() * $reading->grid;
        $slotTicks = intdiv($reading->meter->beatTicks(), $reading->grid);
        $heard = [];
        $rounds = [];
        foreach ($reading->strokes as $stroke) {
            $bar = (($stroke->bar % $bars) + $bars) % $bars;
            $heard[$bar * $perBar + $stroke->slot][] = $stroke;
            $rounds[$bar][$stroke->bar] = true;
        }
        ksort($heard);
        $strokes = [];
        foreach ($heard as $place => $played) {
            if (count($played) < self::OFTEN * count($rounds[intdiv($place, $perBar)] ?? [])) {
                continue;
            }
            $levels = array_values(array_filter(
                array_map(static fn (PlacedStroke $stroke): ?float => $stroke->levelDb, $played),
                static fn (?float $level): bool => $level !== null,
            ));
            $level = $levels === [] ? null : Statistics::median($levels);
            $dead = count(array_filter($played, static fn (PlacedStroke $stroke): bool => $stroke->muted === true));
            $strokes[] = new Stroke(
                $place * $slotTicks,
                $reading->grid,
                articulation: 2 * $dead > count($played) ? Articulation::Chuck : Articulation::Ring,
                accent: PlacedStroke::accentAt($level),
            );
        }

        return $strokes;
    }

    /**
     * @param list<Stroke> $strokes
     *
     * @return list<int> ticks from the bar line
     */
    private static function places(array $strokes, int $barTicks, int $bar): array
    {
        return array_values(array_map(
            static fn (Stroke $stroke): int => $stroke->at % $barTicks,
            array_filter($strokes, static fn (Stroke $stroke): bool => intdiv($stroke->at, $barTicks) === $bar),
        ));
    }
}
