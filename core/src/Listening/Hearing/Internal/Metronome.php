<?php

declare(strict_types=1);

namespace Gravik\Listening\Hearing\Internal;

use Gravik\Listening\Statistics;

/**
 * A metronome that bleeds into a recording: breaks that come back to the millisecond, beat by beat, while the strokes between
 * them scatter as a hand does. What plays the strokes themselves to the millisecond is none.
 *
 * @internal used by OnsetFinder
 */
final readonly class Metronome
{
    /** Nepers by which a click rises at least; it is the greatest rise of so many milliseconds around it. */
    private const LEAST_RISE = 0.7;

    private const AROUND = 3;

    /** Milliseconds from click to click. */
    private const FASTEST = 240;

    private const SLOWEST = 1500;

    /** A click lies so near its place, ms; while the beat is known by a few clicks alone, somewhat farther. */
    private const NEAR = 1.6;

    private const NEAR_AT_FIRST = 2.2;

    private const AT_FIRST = 4;

    /** So many clicks at least, and this share of all that are due; so many may be missed before that is asked. */
    private const FEWEST = 14;

    private const SHARE = 0.6;

    private const MISSED = 4;

    /** The first click is looked for within so many milliseconds of the beginning, and the beat is followed for so many. */
    private const LOOKED_AT = 8000;

    private const FOLLOWED = 60000;

    /** Strokes this far from any click, ms, tell of the hand: those of one place in the beat lie this near each other. */
    private const OFF_BEAT = 70;

    private const ONE_PLACE = 25;

    /** A hand scatters by more than this, ms, which is told by so many strokes of a place at least. */
    private const BY_HAND = 2.5;

    private const FEWEST_STROKES = 4;

    /** What rises by so many nepers more than most clicks do is a stroke that came with one. */
    private const WITH_A_STROKE = 2.0;

    /**
     * @param float $first  frame of a click
     * @param float $period frames from click to click
     * @param float $rise   nepers by which most clicks rise
     */
    private function __construct(private float $first, private float $period, private float $rise) {}

    /**
     * @param list<float> $rises   nepers by which each moment rises above what was foretold before it, frame by frame
     * @param list<int>   $strokes frames at which strokes seem to begin
     */
    public static function among(array $rises, array $strokes): ?self
    {
        $peaks = Cues::peaks($rises, self::LEAST_RISE, self::AROUND);
        $at = array_flip($peaks);
        $until = min(count($rises), self::FOLLOWED);
        $best = ['weight' => 0.0, 'first' => 0.0, 'period' => 1.0, 'hits' => []];
        foreach ($peaks as $place => $first) {
            for ($next = $place + 1; $first <= self::LOOKED_AT && ($peaks[$next] ?? INF) - $first <= self::SLOWEST; $next++) {
                if ($peaks[$next] - $first >= self::FASTEST) {
                    $followed = self::followed($at, $first, $peaks[$next] - $first, $until);
                    $best = $followed['weight'] > $best['weight'] ? $followed : $best;
                }
            }
        }
        if ($best['hits'] === [] || ! self::isByHand($strokes, $best['first'], $best['period'])) {
            return null;
        }

        $clicks = array_map(static fn (int $hit): float => $rises[$hit], $best['hits']);

        return new self($best['first'], $best['period'], Statistics::median($clicks));
    }

    /**
     * @param list<float> $rises
     *
     * @return array<int, float> the same, 0 where there is a click; what rises farther than they do stays
     */
    public function takenOutOf(array $rises): array
    {
        $count = count($rises);
        for ($click = fmod($this->first, $this->period); $click < $count; $click += $this->period) {
            $from = max(0, (int) round($click) - self::AROUND);
            $around = array_slice($rises, $from, 2 * self::AROUND + 1);
            if (max([0.0, ...$around]) < $this->rise + self::WITH_A_STROKE) {
                for ($frame = $from, $end = $from + count($around); $frame < $end; $frame++) {
                    $rises[$frame] = 0.0;
                }
            }
        }

        return $rises;
    }

    /**
     * @param array<int, int> $at     frames that rise, as keys
     * @param int             $first  frame of the first click
     * @param float           $period frames to the second
     *
     * @return array{weight: float, first: float, period: float, hits: list<int>} weight 0 where too few are there
     */
    private static function followed(array $at, int $first, float $period, int $until): array
    {
        $hits = [$first];
        $start = (float) $first;
        // Sums of the line through the clicks: their number in order, its square, their frames and the products.
        [$k1, $k2, $y, $ky] = [0, 0, $first, 0];
        for ($k = 1; ($due = $start + $k * $period) < $until; $k++) {
            $hit = self::nearest($at, $due, $k < self::AT_FIRST ? self::NEAR_AT_FIRST : self::NEAR);
            if ($hit !== null) {
                $hits[] = $hit;
                [$k1, $k2, $y, $ky] = [$k1 + $k, $k2 + $k * $k, $y + $hit, $ky + $k * $hit];
                $n = count($hits);
                $period = ($n * $ky - $k1 * $y) / ($n * $k2 - $k1 * $k1);
                $start = ($y - $period * $k1) / $n;
            } elseif ($k + 1 - count($hits) > max(self::MISSED, (1 - self::SHARE) * $k)) {
                break;
            }
        }
        $due = max(1.0, floor(($until - $start) / $period));
        $count = count($hits);
        $weight = $count < max(self::FEWEST, self::SHARE * $due) ? 0.0 : $count ** 2 / $due;

        return ['weight' => $weight, 'first' => $start, 'period' => $period, 'hits' => $hits];
    }

    /** @param array<int, int> $at */
    private static function nearest(array $at, float $due, float $within): ?int
    {
        foreach ([0, -1, 1, -2, 2] as $off) {
            $frame = (int) round($due) + $off;
            if (isset($at[$frame]) && abs($frame - $due) <= $within) {
                return $frame;
            }
        }

        return null;
    }

    /**
     * Whether strokes between the clicks scatter about their places in the beat.
     *
     * @param list<int> $strokes
     */
    private static function isByHand(array $strokes, float $first, float $period): bool
    {
        $within = array_map(static fn (int $frame): float => fmod(fmod($frame - $first, $period) + $period, $period), $strokes);
        $within = array_filter($within, static fn (float $ms): bool => $ms > self::OFF_BEAT && $ms < $period - self::OFF_BEAT);
        sort($within);
        $places = [];
        foreach ($within as $number => $ms) {
            if ($number === 0 || $ms - $within[$number - 1] > self::ONE_PLACE) {
                $places[] = [];
            }
            $places[count($places) - 1][] = $ms;
        }
        $scatters = array_map(
            static fn (array $place): float => Statistics::spread($place),
            array_values(array_filter($places, static fn (array $place): bool => count($place) >= self::FEWEST_STROKES)),
        );

        return $scatters !== [] && Statistics::median($scatters) > self::BY_HAND;
    }
}
