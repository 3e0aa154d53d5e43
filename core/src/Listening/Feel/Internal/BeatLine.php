<?php

declare(strict_types=1);

namespace Gravik\Listening\Feel\Internal;

use Gravik\Listening\Statistics;

/**
 * The steady beat under strokes whose slots are known: a line, bent evenly where the tempo drifts, and how far the
 * off-beats lean.
 *
 * @internal
 */
final readonly class BeatLine
{
    /**
     * @param float       $start     seconds of beat 0
     * @param float       $bend      seconds a beat squared
     * @param BeatGrid    $grid      leaning as it was played
     * @param non-empty-list<float> $residuals seconds each stroke lies off its slot
     */
    private function __construct(
        public float $start,
        private float $beat,
        private float $bend,
        private float $beats,
        public BeatGrid $grid,
        public array $residuals,
    ) {}

    /**
     * @param non-empty-list<float> $times
     * @param list<int>             $beats
     * @param list<int>             $slots
     */
    public static function through(array $times, array $beats, array $slots, BeatGrid $grid): self
    {
        $places = array_map(static fn (int $number): float => $beats[$number] + $grid->places[$slots[$number]], array_keys($times));
        [$start, $length, $bend] = self::parabola($places, $times);
        $residuals = self::residuals($times, $places, $start, $length, $bend);
        $share = self::share($grid, $slots, $residuals, $length);
        if ($share !== null) {
            $grid = $grid->leaning($share);
            $places = array_map(static fn (int $number): float => $beats[$number] + $grid->places[$slots[$number]], array_keys($times));
            [$start, $length, $bend] = self::parabola($places, $times);
            $residuals = self::residuals($times, $places, $start, $length, $bend);
        }

        return new self($start, $length, $bend, max($places), $grid, $residuals);
    }

    /** Of the whole, on average. */
    public function beatSeconds(): float
    {
        return $this->beat + $this->bend * $this->beats;
    }

    /** Seconds of a place counted in beats. */
    public function at(float $place): float
    {
        return $this->start + $this->beat * $place + $this->bend * $place ** 2;
    }

    /**
     * @param list<int>   $slots
     * @param list<float> $residuals
     */
    private static function share(BeatGrid $grid, array $slots, array $residuals, float $beat): ?float
    {
        $pair = $grid->pair();
        if ($pair === null) {
            return null;
        }
        $on = [];
        $off = [];
        foreach ($slots as $number => $slot) {
            $slot % 2 === 1 ? $off[] = $residuals[$number] : $on[] = $residuals[$number];
        }
        if (count($on) < 3 || count($off) < 3) {
            return null;
        }

        return max(0.45, min(0.78, $grid->share + (Statistics::median($off) - Statistics::median($on)) / $beat / $pair));
    }

    /**
     * Least squares: t = start + beat·x + bend·x².
     *
     * @param non-empty-list<float> $x
     * @param non-empty-list<float> $t
     *
     * @return array{float, float, float}
     */
    private static function parabola(array $x, array $t): array
    {
        [$start, $beat] = Statistics::line($x, $t);
        if (count($x) < 12) {
            return [$start, $beat, 0.0];
        }
        $square = array_map(static fn (float $value): float => $value ** 2, $x);
        [$level, $slope] = Statistics::line($x, $square);
        $curved = array_map(static fn (float $value, float $place): float => $value - $level - $slope * $place, $square, $x);
        $strength = array_sum(array_map(static fn (float $value): float => $value ** 2, $curved));
        $bend = $strength > 1e-9
            ? array_sum(array_map(static fn (float $value, float $seconds): float => $value * $seconds, $curved, $t)) / $strength
            : 0.0;

        return [$start - $bend * $level, $beat - $bend * $slope, $bend];
    }

    /**
     * @param non-empty-list<float> $times
     * @param non-empty-list<float> $places
     *
     * @return non-empty-list<float>
     */
    private static function residuals(array $times, array $places, float $start, float $beat, float $bend): array
    {
        return array_map(static fn (float $t, float $place): float => $t - $start - $beat * $place - $bend * $place ** 2, $times, $places);
    }
}
