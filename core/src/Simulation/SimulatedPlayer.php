<?php

declare(strict_types=1);

namespace Gravik\Simulation;

use Gravik\Performance\PlayedStroke;
use Gravik\Performance\Timeline;
use Gravik\Time\SwingUnit;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Plays a breakdown the way a student might: with a chosen bias, spread, off-beat error, drift, misses and strokes too
 * many. The same seed plays the same take.
 */
final readonly class SimulatedPlayer
{
    /**
     * @param float $biasMs         every stroke, + late
     * @param float $offBeatMs      off-beats on top of that
     * @param float $spreadMs       standard deviation
     * @param float $missed         share of strokes left out, 0–1
     * @param float $driftBpmPerMin how the tempo itself changes, + faster and faster
     * @param float $extra          strokes too many, as a share of those played
     */
    public function __construct(
        private float $biasMs,
        private float $offBeatMs,
        private float $spreadMs,
        private float $missed,
        private int $seed,
        private float $driftBpmPerMin = 0.0,
        private float $extra = 0.0,
    ) {}

    /** @return list<array{t: float, key: string}> */
    public function taps(Timeline $timeline, int $bars): array
    {
        return array_map(
            static fn (PlayedStroke $stroke): array => ['t' => round($stroke->t, 4), 'key' => $stroke->stroke->direction->value ?? 'down'],
            $this->play($timeline, $bars),
        );
    }

    /** @return list<PlayedStroke> in order of time, at the moments they were played */
    public function play(Timeline $timeline, int $bars): array
    {
        $chance = new Randomizer(new Mt19937($this->seed));
        $formBars = $timeline->bars();
        $bpm = $timeline->map->first()->tempo->bpm;
        $played = [];
        for ($round = 0; $round * $formBars < $bars; $round++) {
            foreach ($timeline->strokes as $stroke) {
                $off = self::isOffBeat($timeline, $stroke) ? $this->offBeatMs : 0.0;
                $ms = $this->biasMs + $off + $this->spreadMs * self::normal($chance);
                if (self::even($chance) >= $this->missed && $stroke->bar + $round * $formBars < $bars) {
                    $t = $stroke->t + $round * $timeline->seconds;
                    $played[] = $stroke->shifted($round * $timeline->seconds + $ms / 1000 - $this->driftBpmPerMin * $t ** 2 / (120 * $bpm));
                }
            }
        }
        foreach ($this->extra > 0 ? $played : [] as $place => $stroke) {
            if (self::even($chance) < $this->extra && isset($played[$place + 1])) {
                $played[] = $stroke->shifted(0.5 * ($played[$place + 1]->t - $stroke->t));
            }
        }
        usort($played, static fn (PlayedStroke $a, PlayedStroke $b): int => $a->t <=> $b->t);

        return $played;
    }

    /** The second note of each pair that swings: of half a beat where sixteenths do. */
    private static function isOffBeat(Timeline $timeline, PlayedStroke $stroke): bool
    {
        $stretch = $timeline->map->at($stroke->tick);
        $pair = intdiv($stretch->ruler->meter->beatTicks(), $stretch->ruler->unit === SwingUnit::Sixteenth ? 2 : 1);

        return 2 * ($stretch->inBar($stroke->tick) % $pair) === $pair;
    }

    /** Box and Muller's transform: a standard normal value from two even ones. */
    private static function normal(Randomizer $chance): float
    {
        return sqrt(-2 * log(1 - self::even($chance))) * cos(2 * M_PI * self::even($chance));
    }

    /** From 0 up to, but not including, 1. */
    private static function even(Randomizer $chance): float
    {
        return $chance->getInt(0, (1 << 30) - 1) / (1 << 30);
    }
}
