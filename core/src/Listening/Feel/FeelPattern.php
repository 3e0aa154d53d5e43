<?php

declare(strict_types=1);

namespace Gravik\Listening\Feel;

use Gravik\Listening\Statistics;
use Gravik\Strokes\Articulation;
use Gravik\Strokes\Direction;
use Gravik\Strokes\Length;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;

/** The figure that a recording keeps coming back to: what is played at each slot in at least half of the bars. */
final readonly class FeelPattern
{
    private const OFTEN = 0.5;

    /** Two bars are worth writing when they differ in so many slots. */
    private const BARS_DIFFER = 2;

    /** A direction that is heard is wrong about so often; the arm is contradicted only where that hardly explains it. */
    private const MISHEARD = 0.35;

    private const CHANCE = 0.02;

    private const FEWEST_LENGTHS = 3;

    /** From this share of the time to the next stroke on, it rang until then. */
    private const FULL = 0.7;

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
        $arm = $reading->arm();
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
            $isDead = 2 * $dead > count($played);
            $way = self::againstTheArm($played, $arm[$place % $perBar]);
            $strokes[] = new Stroke(
                $place * $slotTicks,
                $reading->grid,
                direction: $way,
                articulation: $isDead ? Articulation::Chuck : Articulation::Ring,
                accent: PlacedStroke::accentAt($level),
                length: $isDead ? null : self::length($reading, $place % $perBar, $played),
                fixed: $way === null ? [] : ['direction'],
            );
        }

        return self::withoutFullLengths($strokes, $bars * $perBar * $slotTicks, $slotTicks);
    }

    /**
     * A direction other than that of an arm that keeps swinging, where mishearing hardly explains it.
     *
     * @param non-empty-list<PlacedStroke> $played
     */
    private static function againstTheArm(array $played, ?Direction $arm): ?Direction
    {
        $told = array_filter($played, static fn (PlacedStroke $stroke): bool => $stroke->direction !== null);
        $others = count(array_filter($told, static fn (PlacedStroke $stroke): bool => $stroke->direction !== $arm));

        return $arm !== null && $told !== [] && Statistics::atLeast($others, count($told), self::MISHEARD) < self::CHANCE
            ? $arm->opposite()
            : null;
    }

    /**
     * How long they sounded, as a share of the time to the next slot.
     *
     * @param non-empty-list<PlacedStroke> $played at one slot of the bar
     */
    private static function length(FeelReading $reading, int $slot, array $played): ?Length
    {
        $seconds = array_values(array_filter(
            array_map(static fn (PlacedStroke $stroke): ?float => $stroke->seconds, $played),
            static fn (?float $each): bool => $each !== null,
        ));
        if (count($seconds) < self::FEWEST_LENGTHS) {
            return null;
        }
        $inBeat = $slot % $reading->grid;
        $room = (($reading->places[$inBeat + 1] ?? 1.0) - $reading->places[$inBeat]) * 60 / $reading->tempoBpm;

        return Length::ofSlot(max(0.1, min(8.0, round(Statistics::median($seconds) / $room, 1))));
    }

    /**
     * What sounds nearly until the next stroke rings until then.
     *
     * @param list<Stroke> $strokes
     *
     * @return list<Stroke>
     */
    private static function withoutFullLengths(array $strokes, int $ticks, int $slotTicks): array
    {
        $shortened = [];
        foreach ($strokes as $number => $stroke) {
            $next = $strokes[$number + 1]->at ?? $ticks + $strokes[0]->at;
            $shortened[] = $stroke->length !== null && $stroke->length->share * $slotTicks > self::FULL * ($next - $stroke->at)
                ? $stroke->lasting(null)
                : $stroke;
        }

        return $shortened;
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
