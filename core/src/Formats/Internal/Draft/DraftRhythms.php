<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Draft;

use Gravik\Strokes\Articulation;
use Gravik\Strokes\ChordOf;
use Gravik\Strokes\NamedPattern;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;
use Gravik\Strokes\Zone;
use Gravik\Time\Meter;

/**
 * The rhythms of a song's bars, told apart: one that goes through most of it, over one to four bars, and the others.
 *
 * @internal used by DraftBuilder
 */
final readonly class DraftRhythms
{
    private const PERIODS = [1, 2, 3, 4];

    private const MOST = 24;

    /**
     * @param list<NamedPattern>      $patterns the usual one first
     * @param ?string                 $usual    id of it
     * @param array<int, ?string>     $byBar    bar => id of the pattern it has of its own, or the usual one's; null for an empty bar
     */
    private function __construct(public array $patterns, public ?string $usual, public array $byBar) {}

    /**
     * @param list<DraftBar> $bars
     * @param list<int>      $inSection number of each bar in its section: a pattern begins anew with each
     */
    public static function of(array $bars, Meter $meter, array $inSection): self
    {
        $signs = array_map(static fn (DraftBar $bar): string => self::sign($bar), $bars);
        [$period, $round] = self::usual($bars, $signs, $meter, $inSection);
        if ($round === []) {
            return new self([], null, []);
        }
        $patterns = [self::pattern('p1', array_map(static fn (int $bar): DraftBar => $bars[$bar], $round), $meter)];
        $ids = [];
        $byBar = [];
        foreach ($bars as $number => $bar) {
            $at = $inSection[$number] % $period;
            if ($bar->meter->equals($meter) && $signs[$number] === $signs[$round[$at]]) {
                $byBar[$number] = 'p1';

                continue;
            }
            $sign = $signs[$number];
            if (! isset($ids[$sign]) && count($patterns) < self::MOST) {
                $ids[$sign] = 'p'.(count($patterns) + 1);
                $patterns[] = self::pattern($ids[$sign], [$bar], $bar->meter);
            }
            $byBar[$number] = $ids[$sign] ?? 'p1';
        }

        return new self($patterns, 'p1', $byBar);
    }

    /**
     * @param list<DraftBar> $bars
     * @param list<string>   $signs
     * @param list<int>      $inSection
     *
     * @return array{int, list<int>} its length in bars, and the bars it is taken from
     */
    private static function usual(array $bars, array $signs, Meter $meter, array $inSection): array
    {
        $struck = array_filter($bars, static fn (DraftBar $bar): bool => $bar->strokes !== [] && $bar->meter->equals($meter));
        if ($struck === []) {
            return [1, []];
        }
        $best = [1, [], -1.0];
        foreach (self::PERIODS as $period) {
            $round = [];
            $hits = 0;
            for ($at = 0; $at < $period; $at++) {
                $votes = [];
                foreach ($bars as $number => $bar) {
                    if ($inSection[$number] % $period === $at && $bar->meter->equals($meter)) {
                        $votes[$signs[$number]] = [1 + ($votes[$signs[$number]][0] ?? 0), $votes[$signs[$number]][1] ?? $number];
                    }
                }
                uasort($votes, static fn (array $a, array $b): int => $b[0] <=> $a[0]);
                $first = reset($votes);
                if ($first !== false) {
                    $hits += $first[0];
                    $round[] = $first[1];
                }
            }
            // A longer round must explain clearly more bars.
            $score = $hits / count($bars) - 0.04 * $period;
            if (count($round) === $period && $score > $best[2] && $period <= count($bars)) {
                $best = [$period, $round, $score];
            }
        }

        return [$best[0], $best[1]];
    }

    /** Bars with the same sign are struck alike, whatever their chords. */
    public static function sign(DraftBar $bar): string
    {
        return $bar->meter->text().serialize(array_map(static fn (DraftStroke $stroke): array => [
            $stroke->tick, $stroke->direction?->value, $stroke->dead, $stroke->ghost, $stroke->palm, $stroke->short, $stroke->accent, $stroke->push,
            $stroke->line, $stroke->ornament(),
            $stroke->strings instanceof Zone ? $stroke->strings->value : $stroke->strings,
        ], $bar->strokes));
    }

    /** @param non-empty-list<DraftBar> $bars */
    private static function pattern(string $id, array $bars, Meter $meter): NamedPattern
    {
        $lines = [[]];
        foreach ($bars as $number => $bar) {
            foreach ($bar->strokes as $stroke) {
                $lines[$stroke->line][] = self::stroke($stroke, $number * $meter->barTicks(), $meter);
            }
        }
        ksort($lines);
        $streams = array_map(
            static fn (array $strokes, int $line): Stream => new Stream($line === 0 ? 'strum' : 'line 2', self::apart($strokes)),
            $lines,
            array_keys($lines),
        );

        return new NamedPattern($id, '', new Pattern($meter, count($bars) * $meter->barTicks(), array_slice($streams, 0, 2)));
    }

    public static function stroke(DraftStroke $told, int $from, Meter $meter): Stroke
    {
        $beat = $meter->beatTicks();
        $division = 6;
        foreach ([1, 2, 3, 4, 6] as $each) {
            if ($told->tick * $each % $beat === 0) {
                $division = $each;

                break;
            }
        }
        $slot = intdiv($beat, $division);
        $at = min($meter->barTicks() - $slot, intdiv($told->tick + intdiv($slot, 2), $slot) * $slot);
        $articulation = match (true) {
            $told->dead => Articulation::Chuck,
            $told->palm => Articulation::PalmMute,
            $told->ghost => Articulation::Ghost,
            $told->short => Articulation::Short,
            default => Articulation::Ring,
        };

        return new Stroke(
            $from + $at,
            $division,
            direction: $told->direction,
            strings: $told->strings,
            articulation: $articulation,
            accent: $told->accent,
            ornament: $told->ornament(),
            chord: $told->push ? ChordOf::Next : ChordOf::This,
            fixed: $told->direction === null ? [] : ['direction'],
        );
    }

    /**
     * @param list<Stroke> $strokes
     *
     * @return list<Stroke> one at a tick
     */
    private static function apart(array $strokes): array
    {
        $byTick = [];
        foreach ($strokes as $stroke) {
            $byTick[$stroke->at] ??= $stroke;
        }

        return array_values($byTick);
    }
}
