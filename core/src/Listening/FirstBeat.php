<?php

declare(strict_types=1);

namespace Gravik\Listening;

use Gravik\Performance\Timeline;

/**
 * Where bar 1 beat 1 lies in a recording whose tempo and plan are known: the place that brings most strokes near planned
 * ones; of places as good, the one that leaves the least unmet before it.
 */
final readonly class FirstBeat
{
    private const NEAR = 0.06;

    /** So many of the first strokes may be anything but the first of the plan. */
    private const TRIED = 24;

    /**
     * @param list<HeardStroke> $strokes of the recording, in order
     *
     * @return float seconds into the recording
     */
    public static function of(Timeline $timeline, array $strokes): float
    {
        $played = array_map(static fn (HeardStroke $stroke): float => $stroke->t, $strokes);

        return self::find(array_map(static fn (PlannedOnset $onset): float => $onset->t, Plan::of($timeline, max([0.0, ...$played]))->onsets), $played);
    }

    /**
     * @param list<float> $planned seconds from bar 1 beat 1, in order
     * @param list<float> $played  seconds into the recording, in order
     */
    public static function find(array $planned, array $played): float
    {
        $best = ['met' => -1.0, 'at' => 0.0];
        foreach (array_slice($played, 0, self::TRIED) as $stroke) {
            foreach (array_slice($planned, 0, self::TRIED) as $onset) {
                $at = $stroke - $onset;
                $met = self::met($planned, $played, $at);
                if ($met > $best['met'] + 1e-9) {
                    $best = ['met' => $met, 'at' => $at];
                }
            }
        }

        return $best['at'];
    }

    /**
     * @param list<float> $planned
     * @param list<float> $played
     *
     * @return float strokes met, each the less the farther it lies off; those before the first beat count against it
     */
    private static function met(array $planned, array $played, float $at): float
    {
        $met = 0.0;
        $next = 0;
        foreach ($played as $stroke) {
            $t = $stroke - $at;
            while (isset($planned[$next]) && $planned[$next] < $t - self::NEAR) {
                $next++;
            }
            $off = INF;
            for ($near = $next; isset($planned[$near]) && $planned[$near] <= $t + self::NEAR; $near++) {
                $off = min($off, abs($planned[$near] - $t));
            }
            $met += $off === INF ? ($t < -self::NEAR ? -0.5 : 0.0) : 1 - 0.5 * $off / self::NEAR;
        }

        return $met;
    }
}
