<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Draft;

use Gravik\Time\Meter;

/**
 * Tells which stretches of a song are one section that comes again, and which of them differ in their last bars only: those
 * are its endings.
 *
 * @internal used by DraftSections
 */
final readonly class DraftEndings
{
    /** At least this share of a section is the same each time; else it is another section of the same name. */
    private const SHARED = 0.5;

    /**
     * @param list<array{string, Meter, int, int}> $told    name, meter, first bar, number of bars
     * @param list<DraftBar>                       $bars
     * @param list<string>                         $written the chords of each bar
     *
     * @return list<array{string, int, list<array{list<int>, int, int}>}> for each stretch which section it is, how many bars it
     *                                                                    has in common each time, and its endings: in which times,
     *                                                                    first bar, number of bars
     */
    public static function grouped(array $told, array $bars, array $written, int $mostEndings): array
    {
        $byName = [];
        foreach ($told as $place => [$name, $meter]) {
            $byName[serialize([$name, $meter->text()])][] = $place;
        }
        $out = [];
        foreach ($byName as $name => $places) {
            $stretches = array_map(static fn (int $place): array => [$told[$place][2], $told[$place][3]], $places);
            $forked = self::forked($stretches, $bars, $written, $mostEndings);
            foreach ($places as $number => $place) {
                [$from, $count] = $stretches[$number];
                $same = serialize([array_slice($written, $from, $count), self::strokes($bars, $from, $count)]);
                $out[$place] = $forked === null ? [$name.$same, $count, []] : [$name, ...$forked];
            }
        }
        ksort($out);

        return array_values($out);
    }

    /**
     * @param non-empty-list<array{int, int}> $stretches first bar and number of bars of each
     * @param list<DraftBar>        $bars
     * @param list<string>          $written
     *
     * @return ?array{int, list<array{list<int>, int, int}>} bars in common, endings; null where they are not one section
     */
    private static function forked(array $stretches, array $bars, array $written, int $mostEndings): ?array
    {
        $lengths = array_map(static fn (array $each): int => $each[1], $stretches);
        $first = $stretches[0][0];
        [$shared, $longest] = [min($lengths), max($lengths)];
        foreach ($stretches as [$from]) {
            for ($bar = 0; $bar < $shared; $bar++) {
                if ($written[$first + $bar] !== $written[$from + $bar] || serialize($bars[$first + $bar]->strokes) !== serialize($bars[$from + $bar]->strokes)) {
                    $shared = $bar;
                }
            }
        }
        if ($shared === $longest) {
            return null;
        }
        $shared = min($shared, min($lengths) - 1);
        if ($shared < 1 || $shared < self::SHARED * $longest) {
            return null;
        }
        $endings = $rhythms = [];
        foreach ($stretches as $number => [$from, $count]) {
            $same = serialize([array_slice($written, $from + $shared, $count - $shared), self::strokes($bars, $from + $shared, $count - $shared)]);
            $endings[$same] ??= [[], $from + $shared, $count - $shared];
            $endings[$same][0][] = $number + 1;
            for ($bar = $shared; $bar < $count; $bar++) {
                $rhythms[$bar][DraftRhythms::sign($bars[$from + $bar])] = true;
                // A figure has its place in what all the endings follow.
                $rhythms[$bar] += DraftFigures::leaves($bars[$from + $bar]) ? ['off' => true, 'its grip' => true] : [];
            }
        }
        // What is struck is told by bars of the section, whatever its ending: it must be the same in all of them.
        $struckAlike = array_filter($rhythms, static fn (array $each): bool => count($each) > 1) === [];

        return $struckAlike && count($endings) <= $mostEndings ? [$shared, array_values($endings)] : null;
    }

    /**
     * @param list<DraftBar> $bars
     *
     * @return list<list<DraftStroke>>
     */
    private static function strokes(array $bars, int $from, int $count): array
    {
        return array_map(static fn (DraftBar $bar): array => $bar->strokes, array_slice($bars, $from, $count));
    }}
