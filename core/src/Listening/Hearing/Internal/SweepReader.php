<?php

declare(strict_types=1);

namespace Gravik\Listening\Hearing\Internal;

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
    private const EARLIEST = -0.022;

    private const LATEST = 0.055;

    private const BEFORE = 0.058;

    private const AFTER = 0.1;

    /** The slope is held back a little, so that it does not stand in for the step: its own square counts so often. */
    private const HELD = 1.05;

    /** Where the partials lie further than this from the line, ms, it tells nothing. */
    private const SCATTERS = 13.0;

    /** So many ms an octave, either way, and the direction is told. */
    private const TELLS = 2.3;

    /** A partial with less of the whole weight may not say when the first string was struck. */
    private const COUNTS = 0.1;

    private float $rate;

    /** @var list<float> Hann's window */
    private array $window;

    /** @var array<int, float> how far a step has come through the window, by the steps of time since it */
    private array $shapes = [];

    /** @var array<int, float> the same for a slope that begins there */
    private array $ramps = [];

    /** @var array<int, list<array{float, float, float}>> by how many steps of time there are */
    private array $fits = [];

    public function __construct(private Envelopes $envelopes)
    {
        $this->rate = $envelopes->deepRate;
        $count = (int) round(self::WINDOW * $this->rate);
        $this->window = array_map(static fn (int $i): float => (1 - cos(2 * M_PI * ($i + 0.5) / $count)) / $count, range(0, $count - 1));
        $steps = (int) ceil((self::BEFORE + self::AFTER + self::LATEST) / self::STEP) + 1;
        for ($step = -$steps; $step <= $steps; $step++) {
            $z = $step * self::STEP / self::WINDOW;
            $this->shapes[$step] = $z < -0.5 ? 0.0 : ($z > 0.5 ? 1.0 : 0.5 + $z + sin(2 * M_PI * $z) / (2 * M_PI));
            $this->ramps[$step] = $z < -0.5
                ? 0.0
                : ($z > 0.5 ? $z : 0.125 + 0.5 * $z + 0.5 * $z * $z - (cos(2 * M_PI * $z) + 1) / (4 * M_PI * M_PI));
        }
    }

    /**
     * @param float $t    seconds at which the strum begins
     * @param float $next seconds at which the next one does
     *
     * @return ?Sweep null where too little is heard between the two
     */
    public function read(float $t, float $next): ?Sweep
    {
        $end = min($t + self::UNTIL, $next - 0.005);
        $from = $t - self::BEFORE - self::WINDOW;
        $samples = $this->envelopes->deep($from, (int) ((max($end, $t + self::AFTER) + self::WINDOW - $from) * $this->rate));
        $settled = max($t, min($t + self::SETTLED, $end - 0.08));
        if ($end - $settled < self::SHORTEST) {
            return null;
        }

        return $this->along(
            $samples,
            $t - $from,
            $next - $t,
            $this->partials(array_slice($samples, (int) (($settled - $from) * $this->rate), (int) (($end - $settled) * $this->rate))),
        );
    }

    /**
     * @param float       $t    seconds at which the strum begins
     * @param float       $next seconds at which the next one does
     * @param list<float> $hz   the partials to follow, each of a string of its own
     *
     * @return ?Sweep null where too little is heard between the two
     */
    public function ofPartials(float $t, float $next, array $hz): ?Sweep
    {
        $from = $t - self::BEFORE - self::WINDOW;

        return $next - $t < self::SHORTEST
            ? null
            : $this->along(
                $this->envelopes->deep($from, (int) (($t + self::AFTER + self::WINDOW - $from) * $this->rate)),
                $t - $from,
                $next - $t,
                $hz,
            );
    }

    /**
     * @param list<float> $samples
     * @param float       $begins  seconds into them at which the strum does
     * @param float       $room    seconds until the next one
     * @param list<float> $partials Hz
     */
    private function along(array $samples, float $begins, float $room, array $partials): ?Sweep
    {
        $points = array_map(fn (float $hz): array => $this->setsIn($samples, $begins, min(self::AFTER, $room - 0.015), $hz), $partials);
        $weights = array_sum(array_column($points, 'weight'));
        if (count($points) < 2 || $weights <= 0) {
            return null;
        }
        [$slope, $scatter] = PartialsLine::through($points, $weights);
        $told = abs($slope) >= self::TELLS && $scatter < self::SCATTERS;
        $counts = array_filter($points, static fn (array $point): bool => $point['weight'] > self::COUNTS * $weights);

        return new Sweep(
            $told ? ($slope > 0 ? Direction::Down : Direction::Up) : null,
            min(1000 * self::LATEST, ...array_column($counts, 'ms')),
        );
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
     * When a partial changes, as the one step, with a slope from there on for what grows or dies away, both smoothed by the
     * window, that explains its complex amplitude best: least squares over constant, step and slope at each moment.
     *
     * @param list<float> $samples
     * @param float       $begins seconds into them
     * @param float       $until  seconds after that
     *
     * @return array{octave: float, ms: float, weight: float}
     */
    private function setsIn(array $samples, float $begins, float $until, float $hz): array
    {
        [$re, $im] = $this->amplitudes($samples, $begins, $until, $hz);
        $count = count($re);
        $firstAt = (int) round((self::EARLIEST + self::BEFORE) / self::STEP);
        $lastAt = (int) round((self::LATEST - self::EARLIEST) / self::STEP);
        $total = self::scatter($re) + self::scatter($im);
        [$meanRe, $meanIm] = [array_sum($re) / max(1, $count), array_sum($im) / max(1, $count)];
        $explained = [];
        foreach ($this->fits($count, $firstAt, $lastAt) as $at => [$ss, $rr, $sr]) {
            $sRe = $sIm = $rRe = $rIm = 0.0;
            for ($k = 0, $since = -$firstAt - $at; $k < $count; $k++, $since++) {
                $shape = $this->shapes[$since];
                if ($shape > 0.0) {
                    $ramp = $this->ramps[$since];
                    $x = $re[$k] - $meanRe;
                    $y = $im[$k] - $meanIm;
                    $sRe += $shape * $x;
                    $sIm += $shape * $y;
                    $rRe += $ramp * $x;
                    $rIm += $ramp * $y;
                }
            }
            $explained[] = ($rr * ($sRe * $sRe + $sIm * $sIm) - 2 * $sr * ($sRe * $rRe + $sIm * $rIm) + $ss * ($rRe * $rRe + $rIm * $rIm)) / ($ss * $rr - $sr * $sr);
        }
        $best = (int) array_search(max([0.0, ...$explained]), $explained, true);
        // Between two steps of time the parabola through the best three has its top.
        $bend = ($explained[$best - 1] ?? $explained[$best]) - 2 * $explained[$best] + ($explained[$best + 1] ?? $explained[$best]);
        $beside = isset($explained[$best - 1], $explained[$best + 1]) && $bend < 0
            ? ($explained[$best - 1] - $explained[$best + 1]) / (2 * $bend)
            : 0.0;

        // What would fit best later still was not struck by this strum.
        return [
            'octave' => log($hz, 2),
            'ms' => 1000 * (self::EARLIEST + ($best + $beside) * self::STEP),
            'weight' => $total > 0 && $best < $lastAt
                ? sqrt($explained[$best] / $this->fits($count, $firstAt, $lastAt)[$best][0]) * $explained[$best] / $total / $hz
                : 0.0,
        ];
    }

    /**
     * The squares of step and slope and their product, about their means, at each moment: the same for every partial.
     *
     * @return list<array{float, float, float}>
     */
    private function fits(int $count, int $firstAt, int $lastAt): array
    {
        if (! isset($this->fits[$count])) {
            $fits = [];
            for ($at = 0; $at <= $lastAt; $at++) {
                $shapes = array_map(fn (int $k): float => $this->shapes[$k - $firstAt - $at], range(0, max(0, $count - 1)));
                $ramps = array_map(fn (int $k): float => $this->ramps[$k - $firstAt - $at], range(0, max(0, $count - 1)));
                $fits[] = [
                    max(1e-9, self::covered($shapes, $shapes)),
                    self::HELD * max(1e-9, self::covered($ramps, $ramps)),
                    self::covered($shapes, $ramps),
                ];
            }
            $this->fits[$count] = $fits;
        }

        return $this->fits[$count];
    }

    /**
     * @param list<float> $samples
     *
     * @return array{list<float>, list<float>} the partial's complex amplitude at each step of time
     */
    private function amplitudes(array $samples, float $begins, float $until, float $hz): array
    {
        $re = [];
        $im = [];
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

        return [$re, $im];
    }

    /**
     * @param list<float> $a
     * @param list<float> $b as many
     *
     * @return float the sum of their products, about their means
     */
    private static function covered(array $a, array $b): float
    {
        return array_sum(array_map(
            static fn (float $x, float $y): float => $x * $y,
            $a,
            $b,
        )) - array_sum($a) * array_sum($b) / max(1, count($a));
    }

    /** @param list<float> $values */
    private static function scatter(array $values): float
    {
        $mean = array_sum($values) / max(1, count($values));

        return array_sum(array_map(static fn (float $value): float => ($value - $mean) ** 2, $values));
    }
}
