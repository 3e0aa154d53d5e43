<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Draft;

/**
 * Tells which stretches of a song are one section that comes again, and which of them differ in their last bars only: those
 * are its endings.
 *
 * @internal used by DraftSections
 */
final readonly class DraftEndings
{
    private const MOST = 4;

    /** At least this share of a section is the same each time; else it is another section of the same name. */
    private const SHARED = 0.5;

    /**
     * @param list<string> $same   bar => what it is the same by: chords and strokes
     * @param list<string> $struck bar => what its strokes are the same by, whatever they sound; "" where they leave the grip
     */
    private function __construct(private array $same, private array $struck) {}

    /**
     * @param list<array{string, int, int}> $stretches what each must share to be one section; first bar, number of bars
     * @param list<DraftBar>                $bars
     * @param list<string>                  $written   the chords of each bar
     *
     * @return list<array{list<int>, int, list<array{list<int>, int, int}>}> sections: which stretches, how many bars they have in
     *                                                                       common, and the endings: in which times, first bar,
     *                                                                       number of bars
     */
    public static function of(array $stretches, array $bars, array $written): array
    {
        $endings = new self(
            array_map(static fn (DraftBar $bar, string $chords): string => $chords.serialize($bar->strokes), $bars, $written),
            array_map(static fn (DraftBar $bar): string => DraftFigures::leaves($bar) ? '' : DraftRhythms::sign($bar), $bars),
        );
        $sections = [];
        foreach ($stretches as $place => [$kind, $from, $count]) {
            foreach ($sections as $number => [$itsKind, $members]) {
                $joined = $members + [$place => [$from, $count]];
                $forked = $kind === $itsKind ? $endings->forked($joined) : null;
                if ($forked !== null) {
                    $sections[$number] = [$kind, $joined, $forked];

                    continue 2;
                }
            }
            $sections[] = [$kind, [$place => [$from, $count]], [$count, []]];
        }

        return array_map(static fn (array $section): array => [array_keys($section[1]), ...$section[2]], $sections);
    }

    /**
     * @param non-empty-array<int, array{int, int}> $stretches first bar and number of bars of each
     *
     * @return ?array{int, list<array{list<int>, int, int}>} bars in common, endings; null where they are not one section
     */
    private function forked(array $stretches): ?array
    {
        $stretches = array_values($stretches);
        $lengths = array_map(static fn (array $each): int => $each[1], $stretches);
        $first = $stretches[0][0];
        [$shared, $longest] = [min($lengths), max($lengths)];
        foreach ($stretches as [$from]) {
            for ($bar = 0; $bar < $shared; $bar++) {
                $shared = $this->same[$first + $bar] === $this->same[$from + $bar] ? $shared : $bar;
            }
        }
        if ($shared === $longest) {
            return [$shared, []];
        }
        // An ending is one bar at least, each time.
        $shared = min($shared, min($lengths) - 1);
        if ($shared < 1 || $shared < self::SHARED * $longest) {
            return null;
        }
        $endings = $struck = [];
        foreach ($stretches as $number => [$from, $count]) {
            $same = implode("\n", array_slice($this->same, $from + $shared, $count - $shared));
            $endings[$same] ??= [[], $from + $shared, $count - $shared];
            $endings[$same][0][] = $number + 1;
            for ($bar = $shared; $bar < $count; $bar++) {
                $struck[$bar][$this->struck[$from + $bar]] = true;
            }
        }
        // What is struck is told by bars of the section, whatever its ending; and a figure has its place before they fork.
        $tellable = array_filter($struck, static fn (array $each): bool => count($each) > 1 || isset($each[''])) === [];

        return $tellable && count($endings) <= self::MOST ? [$shared, array_values($endings)] : null;
    }
}
