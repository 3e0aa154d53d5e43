<?php

declare(strict_types=1);

namespace Gravik\Handout\Internal;

use Gravik\Performance\PlayedStroke;
use Gravik\Strokes\Direction;

/**
 * The arm over some bars: one curve through the strings, a blade for each stroke, rails for as long as strings ring.
 *
 * @internal used by the handout
 */
final class WaveInk
{
    private const STRINGS = 6;

    private const HALF = 34.0;

    private const SHORTEST = 26.0;

    /** Share of the way at which a hand that strikes the same way again has come back. */
    private const RETURN = 0.58;

    /**
     * @param list<array{float, Direction, ?PlayedStroke}> $crossings where the arm goes through the strings: px, and the stroke if it sounds
     * @param callable(float): float                        $toX       seconds to px
     */
    public static function draw(array $crossings, callable $toX, float $width, float $middle, int $strings = self::STRINGS): string
    {
        $svg = '';
        $stringY = static fn (int $string): float => $middle + ($string - ($strings - 1) / 2) * (2 * self::HALF * 0.8 / ($strings - 1));
        for ($string = 0; $string < $strings; $string++) {
            $svg .= Ink::line(0, $stringY($string), $width, $stringY($string), 0.6, '#999');
        }
        foreach ($crossings as [$x, , $stroke]) {
            if ($stroke !== null && ! $stroke->stroke->isDead()) {
                $svg .= self::rails($stroke, $x, $toX, $stringY, $width);
            }
        }
        $svg .= Ink::path(self::curve($crossings, $middle, $width), 1.6);
        foreach ($crossings as [$x, $direction, $stroke]) {
            $met = $stroke === null ? [0, $strings - 1] : array_map(
                static fn (int $string): int => count($stroke->voicing->frets) - 1 - $string,
                $stroke->strings,
            );
            $met = $met === [] ? [0, $strings - 1] : $met;
            [$upper, $lower] = [$stringY(min($met)), $stringY(max($met))];
            $beyond = max(6.0, (self::SHORTEST - ($lower - $upper)) / 2);
            $svg .= self::blade($x, $direction, $stroke, $upper - $beyond, $lower + $beyond);
        }

        return $svg;
    }

    /**
     * @param callable(float): float $toX
     * @param callable(int): float   $stringY
     */
    private static function rails(PlayedStroke $stroke, float $x, callable $toX, callable $stringY, float $width): string
    {
        $svg = '';
        $end = min($width, $toX(max([$stroke->t, ...$stroke->ends])));
        $count = count($stroke->voicing->frets);
        foreach ($stroke->strings as $order => $string) {
            $y = $stringY($count - 1 - $string);
            $svg .= Ink::line($x, $y, min($width, $toX($stroke->ends[$order])), $y, 1.8);
        }

        return $svg.($stroke->stroke->isLetGo() && $end < $width ? Ink::line($end, $stringY(1) - 4, $end, $stringY($count - 2) + 4, 2.4) : '');
    }

    private static function blade(float $x, Direction $direction, ?PlayedStroke $stroke, float $top, float $bottom): string
    {
        $accent = $stroke->stroke->accent ?? 0;
        $half = $stroke === null ? 2.2 : [2.6, 3.8, 5.0, 6.2][$accent];
        $down = $direction === Direction::Down;
        [$heel, $point] = $down ? [$top, $bottom] : [$bottom, $top];
        $shoulder = $point + ($down ? -1 : 1) * 2.6 * $half;
        $fill = match (true) {
            $stroke === null => '#fff',
            $stroke->stroke->isDead() => 'url(#hatch)',
            default => '#000',
        };

        return Ink::shape(
            [
                [$x - $half, $heel],
                [$x + $half, $heel],
                [$x + $half, $shoulder],
                [$x + ($down ? 0.6 : -0.1) * $half, $point],
                [$x - $half, $shoulder],
            ],
            $fill,
            $stroke === null || $stroke->stroke->isDead() ? 1.2 : 0.0,
        );
    }

    /** @param list<array{float, Direction, ?PlayedStroke}> $crossings */
    private static function curve(array $crossings, float $middle, float $width): string
    {
        $knots = [];
        foreach ($crossings as $place => [$x, $direction]) {
            $knots[] = [$x, $direction];
            $next = $crossings[$place + 1] ?? null;
            if ($next !== null && $next[1] === $direction) {
                $knots[] = [$x + self::RETURN * ($next[0] - $x), $direction->opposite()];
            }
        }
        if ($knots === []) {
            return 'M0 '.Ink::n($middle);
        }
        $path = sprintf('M%s %s', Ink::n($knots[0][0]), Ink::n($middle));
        foreach ($knots as $place => [$x, $direction]) {
            $until = $knots[$place + 1][0] ?? $width;
            $extreme = $middle + ($direction === Direction::Down ? 1 : -1) * 1.34 * self::HALF;
            $path .= sprintf(
                'C%s %s %s %s %s %s',
                Ink::n($x + ($until - $x) * 0.34),
                Ink::n($extreme),
                Ink::n($x + ($until - $x) * 0.66),
                Ink::n($extreme),
                Ink::n($until),
                Ink::n($middle),
            );
        }

        return $path;
    }
}
