<?php

declare(strict_types=1);

namespace Gravik\Listening\Lock;

use Gravik\Listening\PlayedOnset;
use Gravik\Listening\Statistics;
use Gravik\Performance\Timeline;

/**
 * Where bar 1 beat 1 lies in a recording whose tempo and plan are known: the place that brings most strokes near planned
 * ones; of places as good, the one that leaves the least unmet before it. There the strokes on the beats come on time.
 */
final readonly class FirstBeat
{
    private const NEAR = 0.06;

    /** So many of the first strokes may be anything but the first of the plan. */
    private const TRIED = 24;

    /**
     * @param list<PlayedOnset> $strokes of the recording, in order
     *
     * @return float seconds into the recording
     */
    public static function of(Timeline $timeline, array $strokes): float
    {
        $played = array_map(static fn (PlayedOnset $stroke): float => $stroke->t, $strokes);
        $plan = Plan::of($timeline, max([0.0, ...$played]));
        $onsets = $plan->onsets;
        $at = self::find(array_map(static fn (PlannedOnset $onset): float => $onset->t, $onsets), $played);
        $onBeats = array_values(array_filter($onsets, static fn (PlannedOnset $onset): bool => $plan->isOnBeat($onset->tick)));
        $off = self::distances($onBeats === [] ? $onsets : $onBeats, $played, $at);

        return $off === [] ? $at : $at + Statistics::median($off);
    }

    /**
     * How far the strokes that lie near planned ones are off: the beats tell where the time is, off-beats only how it leans.
     *
     * @param list<PlannedOnset> $onsets
     * @param list<float>        $played
     *
     * @return list<float> seconds, + late
     */
    private static function distances(array $onsets, array $played, float $at): array
    {
        $off = [];
        foreach ($onsets as $onset) {
            $near = array_filter(
                array_map(static fn (float $stroke): float => $stroke - $at - $onset->t, $played),
                static fn (float $distance): bool => abs($distance) <= self::NEAR,
            );
            if ($near !== []) {
                usort($near, static fn (float $a, float $b): int => abs($a) <=> abs($b));
                $off[] = $near[0];
            }
        }

        return $off;
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
