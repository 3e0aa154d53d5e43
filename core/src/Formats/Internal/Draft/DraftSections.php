<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Draft;

use Gravik\Breakdown\Breakdown;
use Gravik\Chart\Ending;
use Gravik\Chart\FormEntry;
use Gravik\Chart\Section;
use Gravik\Formats\Failure\NothingToDraft;
use Gravik\Time\Meter;

/**
 * The bars of a song as sections with their chords, and the way through them.
 *
 * @internal used by DraftBuilder
 */
final readonly class DraftSections
{
    private const LONGEST_SECTION = 32;

    /**
     * @param non-empty-list<Section>              $distinct each once
     * @param non-empty-list<FormEntry>            $form
     * @param list<DraftPlaced>                    $placed
     * @param list<array{string, Meter, int, int}> $told     name ("" where none is told), meter, first bar, number of bars of all of them
     */
    private function __construct(public array $distinct, public array $form, public array $placed, private array $told) {}

    /**
     * @param list<DraftBar> $bars one at least
     *
     * @throws NothingToDraft
     */
    public static function of(array $bars): self
    {
        $told = self::cut($bars);
        $written = self::written($bars);
        $stretches = array_map(static fn (array $each): array => [$each[0].' '.$each[1]->text(), $each[2], $each[3]], $told);
        $distinct = $placed = $of = [];
        foreach (DraftEndings::of($stretches, $bars, $written) as $number => [$members, $shared, $endings]) {
            if ($number >= Breakdown::MOST['sections']) {
                break;
            }
            [$name, $meter, $from] = $told[$members[0]];
            $id = 's'.($number + 1);
            $of += array_fill_keys($members, $id);
            $distinct[] = new Section(
                $id,
                $name === '' ? self::letter($number) : $name,
                self::line(array_slice($written, $from, $shared)),
                meter: $meter->equals($bars[0]->meter) ? null : $meter,
                endings: array_map(
                    static fn (array $ending): Ending => new Ending($ending[0], self::line(array_slice($written, $ending[1], $ending[2]))),
                    $endings,
                ),
            );
            $placed[] = new DraftPlaced($id, null, $from, $shared);
            foreach ($endings as $ending => [, $first, $length]) {
                $placed[] = new DraftPlaced($id, $ending, $first, $length, $shared);
            }
        }
        $entries = self::entries($of);
        if ($distinct === [] || $entries === []) {
            throw new NothingToDraft();
        }

        return new self($distinct, $entries, $placed, $told);
    }

    /**
     * @param array<int, string> $of section of each stretch
     *
     * @return list<FormEntry>
     */
    private static function entries(array $of): array
    {
        ksort($of);
        $entries = [];
        foreach ($of as $section) {
            $last = array_pop($entries);
            if ($last !== null && $last->section === $section && $last->times < FormEntry::MOST_TIMES) {
                $entries[] = new FormEntry($section, $last->times + 1);
            } else {
                array_push($entries, ...$last === null ? [] : [$last], ...[new FormEntry($section)]);
            }
        }

        return $entries;
    }

    /** A section that has no name: A to Z, then A2 and so on. */
    private static function letter(int $number): string
    {
        return chr(65 + $number % 26).($number < 26 ? '' : (string) (1 + intdiv($number, 26)));
    }

    /** @return list<int> for every bar its place in its section */
    public function places(): array
    {
        return array_merge([], ...array_map(static fn (array $each): array => range(0, $each[3] - 1), $this->told));
    }

    /**
     * @param list<DraftBar> $bars
     *
     * @return list<array{string, Meter, int, int}> name, meter, first bar, number of bars
     */
    private static function cut(array $bars): array
    {
        $sections = [];
        $name = '';
        $from = 0;
        foreach ($bars as $number => $bar) {
            $next = $bars[$number + 1] ?? null;
            $name = $bar->section === null || trim($bar->section) === '' ? $name : mb_substr(trim($bar->section), 0, 40);
            $full = $number - $from + 1 >= self::LONGEST_SECTION;
            if ($next === null || $next->section !== null || ! $next->meter->equals($bar->meter) || $full) {
                $sections[] = [$name, $bar->meter, $from, $number - $from + 1];
                $from = $number + 1;
            }
        }

        return $sections;
    }

    /** @param list<string> $bars */
    private static function line(array $bars): string
    {
        return '| '.implode(' | ', $bars).' |';
    }

    /**
     * @param list<DraftBar> $bars
     *
     * @return list<string> the chords of each bar, those that go on from the bar before written anew
     */
    private static function written(array $bars): array
    {
        $written = [];
        $sounding = '';
        foreach ($bars as $bar) {
            $beats = array_fill(0, $bar->meter->beats(), '/');
            $beats[0] = $sounding === '' ? 'N.C.' : $sounding;
            foreach ($bar->chords as [$tick, $symbol]) {
                $beat = min(count($beats) - 1, (int) round($tick / $bar->meter->beatTicks()));
                $sounding = $symbol;
                $beats[$beat] = $symbol === '' ? 'N.C.' : $symbol;
            }
            $alone = array_filter(array_slice($beats, 1), static fn (string $each): bool => $each !== '/') === [];
            $written[] = $alone ? $beats[0] : implode(' ', $beats);
        }

        return $written;
    }
}
