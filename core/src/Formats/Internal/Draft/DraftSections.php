<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Draft;

use Gravik\Breakdown\Breakdown;
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
     * @param non-empty-list<Section>                $distinct each once
     * @param non-empty-list<FormEntry>              $form
     * @param list<array{string, int, int}>          $placed   id, first bar, number of bars of each where it first comes
     * @param list<array{string, Meter, int, int}>   $told     name, meter, first bar, number of bars of all of them
     */
    private function __construct(public array $distinct, public array $form, public array $placed, private array $told) {}

    /**
     * @param list<DraftBar> $bars one at least
     *
     * @throws NothingToDraft
     */
    public static function of(array $bars): self
    {
        return self::merged(self::cut($bars), $bars);
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
        $name = 'A';
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

    /**
     * Sections that are written alike are one that comes again.
     *
     * @param list<array{string, Meter, int, int}> $sections
     * @param list<DraftBar>                       $bars
     *
     * @throws NothingToDraft
     */
    private static function merged(array $sections, array $bars): self
    {
        $known = $distinct = $entries = $placed = [];
        $song = $bars[0]->meter;
        foreach ($sections as [$name, $meter, $from, $count]) {
            $these = array_slice($bars, $from, $count);
            $line = self::line($these);
            $same = serialize([$name, $line, $meter->text(), array_map(static fn (DraftBar $bar): array => $bar->strokes, $these)]);
            if (! isset($known[$same]) && count($distinct) < Breakdown::MOST['sections']) {
                $known[$same] = 's'.(count($distinct) + 1);
                $distinct[] = new Section($known[$same], $name, $line, meter: $meter->equals($song) ? null : $meter);
                $placed[] = [$known[$same], $from, $count];
            }
            if (isset($known[$same])) {
                $last = array_pop($entries);
                if ($last !== null && $last->section === $known[$same] && $last->times < FormEntry::MOST_TIMES) {
                    $entries[] = new FormEntry($last->section, $last->times + 1);
                } else {
                    array_push($entries, ...$last === null ? [] : [$last], ...[new FormEntry($known[$same])]);
                }
            }
        }
        if ($distinct === [] || $entries === []) {
            throw new NothingToDraft();
        }

        return new self($distinct, $entries, $placed, $sections);
    }

    /** @param list<DraftBar> $bars */
    private static function line(array $bars): string
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

        return '| '.implode(' | ', $written).' |';
    }
}
