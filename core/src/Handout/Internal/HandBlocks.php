<?php

declare(strict_types=1);

namespace Gravik\Handout\Internal;

use Gravik\Chart\CourseChord;
use Gravik\Handout\Block;
use Gravik\Handout\HandoutWishes;
use Gravik\Handout\Song;
use Gravik\Performance\PlayedStroke;
use Gravik\Performance\Span;
use Gravik\Strokes\ChordOf;
use Gravik\Strokes\Counting;
use Gravik\Strokes\Direction;
use Gravik\Strokes\Hand\AirStroke;

/**
 * The arm over the first bars of every pattern that is played, with counts, lengths and muting.
 *
 * @internal used by the handout
 */
final class HandBlocks
{
    private const HEIGHT = 164.0;

    private const MOST_PATTERNS = 4;

    /** What stands under the counts, in px. */
    private const SMALL = 10.5;

    private const FAR = 16.0;

    /** of the way to the next word, which one of four letters then fills */
    private const SHARE = 0.42;

    /** @return list<Block> */
    public static function of(Song $song, HandoutWishes $wishes, float $width): array
    {
        $blocks = [];
        foreach (array_slice(self::firstSpans($song), 0, self::MOST_PATTERNS) as $span) {
            $from = $song->timeline->map->barAt($span->from);
            $bars = min($wishes->handBars, $song->timeline->map->barAt($span->until - 1) - $from + 1);
            $blocks[] = self::row($song, $span, $from, $bars, $width, $wishes->large);
        }

        return $blocks === [] ? [] : [
            Heading::of(
                'Hand',
                'the arm never stops; black sounds, hatched is dead, white passes through air; a rail ends where the strings are let go',
                $width,
            ),
            ...$blocks,
        ];
    }

    /** @return list<Span> where each pattern is played first */
    private static function firstSpans(Song $song): array
    {
        $first = [];
        foreach ($song->timeline->spans as $span) {
            $first[$span->hand->named->id] ??= $span;
        }

        return array_values($first);
    }

    private static function row(Song $song, Span $span, int $from, int $bars, float $width, bool $large): Block
    {
        $map = $song->timeline->map;
        $courseBars = array_slice($song->timeline->course->bars, $from, $bars);
        $starts = $map->secondsAt($courseBars[0]->tick, 1);
        $ends = $map->secondsAt($courseBars[count($courseBars) - 1]->until(), 1);
        $toX = static fn (float $seconds): float => 10 + ($seconds - $starts) / ($ends - $starts) * ($width - 20);
        $svg = '';
        foreach ([...array_map(static fn ($bar): int => $bar->tick, $courseBars), $courseBars[count($courseBars) - 1]->until()] as $tick) {
            $x = $toX($map->secondsAt($tick, 1));
            $svg .= Ink::line($x, 16, $x, 118, 1.8);
        }
        foreach (self::chords($song, $courseBars[0]->tick, $courseBars[count($courseBars) - 1]->until()) as $chord) {
            $svg .= Ink::text($toX($map->secondsAt($chord->tick, 1)) + 4, 12, $chord->chord->text(), 13, 700);
        }
        $strings = $song->breakdown->neck->tuning->strings();
        $svg .= WaveInk::draw(self::crossings($song, $span, $from, $bars, $toX), $toX, $width, 66, $strings);
        $svg .= self::counts($song, $span, $courseBars[0]->tick, $courseBars[count($courseBars) - 1]->until(), $toX, $large);
        $name = $span->hand->named->name;

        return new Block(self::HEIGHT, $svg.($name === '' ? '' : Ink::text(0, 158, "“{$name}”", 11.5, italic: true)));
    }

    /**
     * @param callable(float): float $toX
     *
     * @return list<array{float, Direction, ?PlayedStroke}>
     */
    private static function crossings(Song $song, Span $span, int $from, int $bars, callable $toX): array
    {
        $crossings = [];
        foreach ($song->timeline->strokes as $stroke) {
            if ($stroke->bar >= $from && $stroke->bar < $from + $bars && $stroke->of === null) {
                $crossings[] = [$toX($stroke->t), $stroke->stroke->direction ?? Direction::Down, $stroke];
            }
        }
        $map = $song->timeline->map;
        $plan = $span->hand->plan;
        $until = $map->tickOfBar($from) + $bars * $plan->pattern->meter->barTicks();
        for ($start = $span->begins; $start < $until; $start += $plan->pattern->ticks) {
            foreach ($plan->air as $air) {
                $crossings[] = self::air($air, $start, $toX, $map->secondsAt(...));
            }
        }
        $right = $toX($map->secondsAt($until, 1));
        $crossings = array_filter($crossings, static fn (array $each): bool => $each[0] >= 4 && $each[0] < $right);
        usort($crossings, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_values(array_filter(
            $crossings,
            static fn (array $each, int $place): bool => $place === 0 || $each[0] - $crossings[$place - 1][0] > 0.5,
            ARRAY_FILTER_USE_BOTH,
        ));
    }

    /**
     * @param callable(float): float      $toX
     * @param callable(int, int): float   $secondsAt
     *
     * @return array{float, Direction, null}
     */
    private static function air(AirStroke $air, int $start, callable $toX, callable $secondsAt): array
    {
        return [$toX($secondsAt($start + $air->at, $air->division)), $air->direction, null];
    }

    /** @param callable(float): float $toX */
    private static function counts(Song $song, Span $span, int $from, int $until, callable $toX, bool $large): string
    {
        $svg = '';
        $pattern = $span->hand->plan->pattern;
        $grid = $pattern->grid();
        $syllables = Counting::syllables($pattern->meter, $grid);
        $slot = $pattern->slotTicks();
        $struck = [];
        foreach ($song->timeline->strokes as $stroke) {
            $struck[$stroke->tick] = $stroke;
        }
        // What is read from two metres is as large as the words' distance lets it be.
        $small = $large ? max(self::SMALL, min(self::FAR, self::SHARE * self::distance($struck, $from, $until, $toX))) : self::SMALL;
        for ($tick = $from; $tick < $until; $tick += $slot) {
            $place = intdiv(($tick - $from) % $pattern->meter->barTicks(), $slot);
            $stroke = $struck[$tick] ?? null;
            $x = $toX($song->timeline->map->secondsAt($tick, $grid));
            $onBeat = $place % $grid === 0;
            $svg .= $onBeat || $stroke !== null
                ? Ink::text(
                    $x,
                    134,
                    $syllables[$place] ?? '',
                    $onBeat ? 17 : 14,
                    $onBeat ? 700 : 400,
                    'middle',
                    $stroke === null ? '#666' : '#000',
                )
                : '';
            $fill = $large ? '#000' : '#333';
            $svg .= $stroke === null ? '' : Ink::text($x, 136.5 + $small, self::said($stroke), $small, anchor: 'middle', fill: $fill);
        }

        return $svg;
    }

    /**
     * The least way from one word under the counts to the next, in px.
     *
     * @param array<int, PlayedStroke> $struck by tick
     * @param callable(float): float   $toX
     */
    private static function distance(array $struck, int $from, int $until, callable $toX): float
    {
        $places = [];
        foreach ($struck as $tick => $stroke) {
            if ($tick >= $from && $tick < $until && self::said($stroke) !== '') {
                $places[] = $toX($stroke->t);
            }
        }
        $ways = array_map(
            static fn (float $next, float $place): float => $next - $place,
            array_slice($places, 1),
            array_slice($places, 0, -1),
        );

        return min([self::FAR / self::SHARE, ...$ways]);
    }

    private static function said(PlayedStroke $stroke): string
    {
        $length = $stroke->stroke->isDead() ? 'dead' : ($stroke->stroke->isLetGo() ? 'dry' : '');

        return $stroke->stroke->chord === ChordOf::Next ? trim("{$length} push") : $length;
    }

    /** @return list<CourseChord> */
    private static function chords(Song $song, int $from, int $until): array
    {
        return array_values(array_filter(
            $song->timeline->course->chords,
            static fn (CourseChord $chord): bool => $chord->tick >= $from && $chord->tick < $until,
        ));
    }
}
