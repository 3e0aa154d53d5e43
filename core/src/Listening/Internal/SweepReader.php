<?php

declare(strict_types=1);

namespace Gravik\Listening\Internal;

use Gravik\Strokes\Direction;

/**
 * Tells which way a strum went through the strings. The low partials, most of them fundamentals, each set in when their
 * string is struck: followed one by one, as complex amplitudes, so that a string which rang before and is struck anew shows
 * too. Where the low ones set in before the higher ones the hand went down, where they set in after them it went up.
 *
 * @internal used by StrokeListener
 */
final class SweepReader
{
    private const LOWEST_HZ = 70.0;

    private const HIGHEST_HZ = 500.0;

    private const MOST_PARTIALS = 8;

    /** A partial so far below the strongest counts for nothing, as energy. */
    private const FAINTEST = 1e-3;

    /** Seconds after the beginning from which the partials are looked for, and until when. */
    private const SETTLED = 0.045;

    private const UNTIL = 0.16;

    private const SHORTEST = 0.06;

    /** Seconds of the window that follows a partial, and from step to step. */
    private const WINDOW = 0.035;

    private const STEP = 0.004;

    /** The string may be struck so long before and after the beginning, seconds. */
    private const EARLIEST = -0.01;

    private const LATEST = 0.055;

    private const BEFORE = 0.05;

    private const AFTER = 0.1;

    /** So many ms an octave, either way, and the direction is told. */
    private const TELLS = 2.0;

    private float $rate;

    /** @var list<float> Hann's window */
    private array $window;

    /** @var array<int, float> how far a step has come through the window, by the steps of time since it */
    private array $shapes = [];

    public function __construct(private Envelopes $envelopes)
    {
        $this->rate = $envelopes->deepRate;
        $count = (int) round(self::WINDOW * $this->rate);
        $this->window = array_map(static fn (int $i): float => (1 - cos(2 * M_PI * ($i + 0.5) / $count)) / $count, range(0, $count - 1));
        $steps = (int) ceil((self::BEFORE + self::AFTER + self::LATEST) / self::STEP) + 1;
        for ($step = -$steps; $step <= $steps; $step++) {
            $z = $step * self::STEP / self::WINDOW;
            $this->shapes[$step] = $z < -0.5 ? 0.0 : ($z > 0.5 ? 1.0 : 0.5 + $z + sin(2 * M_PI * $z) / (2 * M_PI));
        }
    }

    /**
     * @param float $t    seconds at which the strum begins
     * @param float $next seconds at which the next one does
     */
    public function read(float $t, float $next): ?Direction
    {
        $end = min($t + self::UNTIL, $next - 0.005);
        $from = $t - self::BEFORE - self::WINDOW;
        $samples = $this->envelopes->deep($from, (int) ((max($end, $t + self::AFTER) + self::WINDOW - $from) * $this->rate));
        $settled = max($t, min($t + self::SETTLED, $end - 0.08));
        if ($end - $settled < self::SHORTEST) {
            return null;
        }
        $points = [];
        foreach ($this->partials(array_slice($samples, (int) (($settled - $from) * $this->rate), (int) (($end - $settled) * $this->rate))) as $hz) {
            $points[] = $this->setsIn($samples, $t - $from, min(self::AFTER, $next - $t - 0.015), $hz);
        }
        $slope = self::slope($points);

        return abs($slope) < self::TELLS ? null : ($slope > 0 ? Direction::Down : Direction::Up);
    }

    /**
     * The strongest low partials of a stretch, by Goertzel's recursion over all frequencies half a bin apart.
     *
     * @param list<float> $samples
     *
     * @return list<float> Hz
     */
    private function partials(array $samples): array
    {
        $count = count($samples);
        $step = 0.5 * $this->rate / max(1, $count);
        $shaped = [];
        foreach ($samples as $i => $value) {
            $shaped[] = $value * (1 - cos(2 * M_PI * $i / $count));
        }
        $energies = [];
        for ($hz = self::LOWEST_HZ; $hz < self::HIGHEST_HZ + $step; $hz += $step) {
            $turn = 2 * cos(2 * M_PI * $hz / $this->rate);
            $one = $two = 0.0;
            foreach ($shaped as $value) {
                $now = $value + $turn * $one - $two;
                $two = $one;
                $one = $now;
            }
            $energies[] = $one * $one + $two * $two - $turn * $one * $two;
        }
        $least = self::FAINTEST * max([0.0, ...$energies]);
        $found = [];
        for ($k = 1, $last = count($energies) - 1; $k < $last; $k++) {
            [$left, $here, $right] = [$energies[$k - 1], $energies[$k], $energies[$k + 1]];
            if ($here > $left && $here >= $right && $here > $least) {
                $bend = log($left + 1e-18) - 2 * log($here) + log($right + 1e-18);
                $found[(string) (self::LOWEST_HZ + $step * ($k + ($bend < 0 ? (log($left + 1e-18) - log($right + 1e-18)) / (2 * $bend) : 0.0)))] = $here;
            }
        }
        arsort($found);

        return array_map(floatval(...), array_keys(array_slice($found, 0, self::MOST_PARTIALS)));
    }

    /**
     * When a partial changes, as the one step, smoothed by the window, that explains its complex amplitude best.
     *
     * @param list<float> $samples
     * @param float       $begins seconds into them
     * @param float       $until  seconds after that
     *
     * @return array{octave: float, ms: float, weight: float}
     */
    private function setsIn(array $samples, float $begins, float $until, float $hz): array
    {
        $re = [];
        $im = [];
        $shapes = $this->shapes;
        $firstAt = (int) round((self::EARLIEST + self::BEFORE) / self::STEP);
        $lastAt = (int) round((self::LATEST - self::EARLIEST) / self::STEP);
        $size = count($this->window);
        $turn = 2 * M_PI * $hz / $this->rate;
        [$turnCos, $turnSin] = [cos($turn), sin($turn)];
        for ($tau = -self::BEFORE; $tau <= $until; $tau += self::STEP) {
            $first = (int) round(($begins + $tau) * $this->rate - $size / 2);
            $cosine = cos($turn * $first);
            $sine = -sin($turn * $first);
            $x = $y = 0.0;
            for ($i = 0; $i < $size; $i++) {
                $value = ($samples[$first + $i] ?? 0.0) * $this->window[$i];
                $x += $value * $cosine;
                $y += $value * $sine;
                $next = $cosine * $turnCos + $sine * $turnSin;
                $sine = $sine * $turnCos - $cosine * $turnSin;
                $cosine = $next;
            }
            $re[] = $x;
            $im[] = $y;
        }
        $count = count($re);
        $total = self::scatter($re) + self::scatter($im);
        [$sumRe, $sumIm] = [array_sum($re), array_sum($im)];
        $explained = [];
        $steps = [];
        for ($at = 0; $at <= $lastAt; $at++) {
            $sum = $squares = $withRe = $withIm = 0.0;
            for ($k = 0; $k < $count; $k++) {
                $shape = $shapes[$k - $firstAt - $at];
                $sum += $shape;
                $squares += $shape * $shape;
                $withRe += $shape * $re[$k];
                $withIm += $shape * $im[$k];
            }
            $scatter = max(1e-9, $squares - $sum * $sum / $count);
            $stepRe = ($withRe - $sum * $sumRe / $count) / $scatter;
            $stepIm = ($withIm - $sum * $sumIm / $count) / $scatter;
            $steps[] = $stepRe * $stepRe + $stepIm * $stepIm;
            $explained[] = $steps[$at] * $scatter;
        }
        $best = (int) array_search(max([0.0, ...$explained]), $explained, true);
        // Between two steps of time the parabola through the best three has its top.
        $bend = ($explained[$best - 1] ?? $explained[$best]) - 2 * $explained[$best] + ($explained[$best + 1] ?? $explained[$best]);
        $beside = isset($explained[$best - 1], $explained[$best + 1]) && $bend < 0 ? ($explained[$best - 1] - $explained[$best + 1]) / (2 * $bend) : 0.0;

        return [
            'octave' => log($hz, 2),
            'ms' => 1000 * (self::EARLIEST + ($best + $beside) * self::STEP),
            'weight' => $total > 0 ? sqrt($steps[$best]) * $explained[$best] / $total / $hz : 0.0,
        ];
    }

    /** @param list<float> $values */
    private static function scatter(array $values): float
    {
        $mean = array_sum($values) / max(1, count($values));

        return array_sum(array_map(static fn (float $value): float => ($value - $mean) ** 2, $values));
    }

    /**
     * The weighted line through the partials.
     *
     * @param list<array{octave: float, ms: float, weight: float}> $points
     *
     * @return float ms an octave, + when the low ones come first
     */
    private static function slope(array $points): float
    {
        $weights = array_sum(array_column($points, 'weight'));
        if (count($points) < 2 || $weights <= 0) {
            return 0.0;
        }
        $octave = $ms = 0.0;
        foreach ($points as $point) {
            $octave += $point['weight'] * $point['octave'] / $weights;
            $ms += $point['weight'] * $point['ms'] / $weights;
        }
        $along = $across = 0.0;
        foreach ($points as $point) {
            $along += $point['weight'] * ($point['octave'] - $octave) * ($point['ms'] - $ms);
            $across += $point['weight'] * ($point['octave'] - $octave) ** 2;
        }

        return $across > 0 ? $along / $across : 0.0;
    }
}
