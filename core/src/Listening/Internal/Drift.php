<?php

declare(strict_types=1);

namespace Gravik\Listening\Internal;

use Gravik\Listening\Hit;
use Gravik\Listening\Interval;
use Gravik\Listening\Statistics;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * A tempo that changes steadily through the take. Who begins at T BPM and gains D BPM a minute has counted
 * T·t/60 + D·t²/7200 beats after t seconds, so what was planned at τ comes at t = 60T/D·(√(1 + D·τ/(30·T)) − 1).
 * A constant and this curve, which is 0 at the first beat, are fitted to the middles of the bars, each stroke held
 * against the others at its place in the bar; outliers count less, in a bar and among bars (Huber's weights).
 *
 * @internal used by Deviations
 */
final readonly class Drift
{
    /** The curve moves at least so far over the take, ms, and twice so far where the take is shorter than so many bars. */
    private const LEAST_MS = 20.0;

    private const LONG_BARS = 8;

    private const FEWEST_BARS = 3;

    private const RESAMPLES = 400;

    private const HUBER = 1.5;

    /**
     * @param ?float    $bpmPerMin + faster and faster; null where the take is too short to put a figure to it
     * @param ?Interval $interval  within what that figure lies
     */
    private function __construct(
        public ?float $bpmPerMin,
        public float $ms,
        public float $leastMs,
        private float $perMin,
        private float $bpm,
        public ?Interval $interval,
    ) {}

    /**
     * @param list<Hit> $hits
     * @param int       $slotsInBar of the pattern
     *
     * @return ?self null where nothing shows that the tempo moves
     */
    public static function of(array $hits, float $bpm, int $slotsInBar): ?self
    {
        $bars = array_unique(array_map(static fn (Hit $hit): int => $hit->bar, $hits));
        if (count($bars) < self::FEWEST_BARS) {
            return null;
        }
        $perMin = 0.0;
        $points = [];
        // Each round holds the strokes of a place against each other with the curve so far taken off.
        foreach ([1, 2, 3] as $round) {
            $points = self::bars($hits, $perMin, $bpm, $slotsInBar);
            $perMin += self::fit($points, null);
        }
        $last = max(0.0, ...array_map(static fn (Hit $hit): float => $hit->t, $hits));
        $ms = self::curve($perMin, $bpm, $last) - self::curve($perMin, $bpm, 0.0);
        $long = max($bars) - min($bars) + 1 >= self::LONG_BARS;
        $least = $long ? self::LEAST_MS : 2 * self::LEAST_MS;
        if (abs($ms) <= $least) {
            return null;
        }
        $interval = self::interval($points, $perMin);

        return $interval->isBeyond(0.0)
            ? new self($long ? $perMin : null, $ms, $least, $perMin, $bpm, $long ? $interval : null)
            : null;
    }

    /** What the changing tempo alone adds at a planned time: ms, + late. */
    public function at(float $seconds): float
    {
        return self::curve($this->perMin, $this->bpm, $seconds);
    }

    private static function curve(float $perMin, float $bpm, float $seconds): float
    {
        $bend = $perMin * $seconds / (30 * $bpm);

        // Where next to nothing bends, the root of what is next to 1 would lose its figures.
        return 1000 * $seconds * (abs($bend) < 1e-6 ? -$bend / 4 : 2 / $bend * (sqrt(max(0.0, 1 + $bend)) - 1) - 1);
    }

    /**
     * @param list<Hit> $hits
     *
     * @return list<array{x: float, y: float, weight: float}> for each bar: what one BPM a minute more would add there, ms, and
     *                                                       what is left of its strokes, ms
     */
    private static function bars(array $hits, float $perMin, float $bpm, int $slotsInBar): array
    {
        $left = array_map(static fn (Hit $hit): float => $hit->ms - self::curve($perMin, $bpm, $hit->t), $hits);
        $places = [];
        foreach ($hits as $index => $hit) {
            $places[$hit->slot % max(1, $slotsInBar)][] = $left[$index];
        }
        $usual = Statistics::median($left === [] ? [0.0] : $left);
        // A place that comes only once or twice would explain itself.
        $medians = array_map(static fn (array $values): float => count($values) < 3 ? $usual : Statistics::median($values), $places);
        $off = array_map(static fn (float $value, Hit $hit): float => $value - $medians[$hit->slot % max(1, $slotsInBar)], $left, $hits);
        $reach = 2 * self::HUBER * max(0.5, Statistics::spread($off === [] ? [0.0] : $off));
        $bars = [];
        foreach ($hits as $index => $hit) {
            $bars[$hit->bar]['y'][] = $off[$index];
            $bars[$hit->bar]['x'][] = (self::curve($perMin + 0.05, $bpm, $hit->t) - self::curve($perMin - 0.05, $bpm, $hit->t)) / 0.1;
        }

        return array_values(array_map(static fn (array $bar): array => [
            'x' => array_sum($bar['x']) / count($bar['x']), 'y' => self::middle($bar['y'], $reach), 'weight' => sqrt(count($bar['y'])),
        ], $bars));
    }

    /**
     * @param non-empty-list<float> $values
     * @param float                 $reach how far from their median a value may lie and count in full
     */
    private static function middle(array $values, float $reach): float
    {
        $median = Statistics::median($values);

        return array_sum(array_map(
            static fn (float $value): float => max($median - $reach, min($median + $reach, $value)),
            $values,
        )) / count($values);
    }

    /**
     * @param list<array{x: float, y: float, weight: float}> $points
     * @param ?float                                         $begun a slope near the right one; null: none is known
     *
     * @return float slope of the line that outliers hardly move
     */
    private static function fit(array $points, ?float $begun): float
    {
        if ($points === []) {
            return 0.0;
        }
        $slope = $begun ?? self::line($points, array_column($points, 'weight'))[1];
        for ($round = $begun === null ? 0 : 3; $round < 6; $round++) {
            $off = array_map(static fn (array $point): float => $point['y'] - $slope * $point['x'], $points);
            $level = Statistics::median($off);
            $scale = self::HUBER * max(0.5, Statistics::spread($off));
            $weights = array_map(
                static fn (array $point, float $value): float => $point['weight'] * min(1.0, $scale / max(1e-9, abs($value - $level))),
                $points,
                $off,
            );
            $slope = self::line($points, $weights)[1];
        }

        return $slope;
    }

    /**
     * The 95 % interval of the figure, from bars drawn anew with a fixed seed.
     *
     * @param list<array{x: float, y: float, weight: float}> $points what the curve leaves
     */
    private static function interval(array $points, float $perMin): Interval
    {
        $chance = new Randomizer(new Mt19937(20_261_128));
        $last = count($points) - 1;
        $slopes = [];
        for ($sample = 0; $sample < self::RESAMPLES; $sample++) {
            $drawn = array_map(static fn (): array => $points[$chance->getInt(0, $last)], $points);
            $slopes[] = self::fit($drawn, 0.0);
        }
        sort($slopes);
        // Of few bars the bootstrap makes too narrow an interval: the two figures taken from them count as in Student's t.
        $wider = $last < 2 ? INF : (1 + 2.5 / ($last - 1)) * sqrt(($last + 1) / ($last - 1));

        return new Interval(
            $perMin + $wider * $slopes[(int) floor(0.025 * self::RESAMPLES)],
            $perMin + $wider * $slopes[(int) ceil(0.975 * self::RESAMPLES) - 1],
        );
    }

    /**
     * @param list<array{x: float, y: float, weight: float}> $points
     * @param list<float>                                    $weights
     *
     * @return array{float, float} value at x = 0, slope
     */
    private static function line(array $points, array $weights): array
    {
        $sum = array_sum($weights);
        $x = $y = 0.0;
        foreach ($points as $index => $point) {
            $x += $weights[$index] * $point['x'] / $sum;
            $y += $weights[$index] * $point['y'] / $sum;
        }
        $along = $across = 0.0;
        foreach ($points as $index => $point) {
            $along += $weights[$index] * ($point['x'] - $x) * ($point['y'] - $y);
            $across += $weights[$index] * ($point['x'] - $x) ** 2;
        }
        $slope = $across > 1e-12 ? $along / $across : 0.0;

        return [$y - $slope * $x, $slope];
    }
}
