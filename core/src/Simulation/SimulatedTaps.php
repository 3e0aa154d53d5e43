<?php

declare(strict_types=1);

namespace Gravik\Simulation;

use Gravik\Performance\PlayedStroke;
use Gravik\Performance\Timeline;

/** Plays a breakdown the way a student might: taps with a chosen bias, spread, off-beat error and misses. The same seed plays the same take. */
final readonly class SimulatedTaps
{
    /**
     * @param float $biasMs    every stroke, + late
     * @param float $offBeatMs off-beats on top of that
     * @param float $spreadMs  standard deviation
     * @param float $missed    share of strokes left out, 0–1
     */
    public function __construct(private float $biasMs, private float $offBeatMs, private float $spreadMs, private float $missed, private int $seed) {}

    /** @return list<array{t: float, key: string}> */
    public function play(Timeline $timeline, int $bars): array
    {
        $chance = new \Random\Randomizer(new \Random\Engine\Mt19937($this->seed));
        $beatTicks = $timeline->ruler->meter->beatTicks();
        $formBars = count($timeline->voiced->form->bars);
        $taps = [];
        for ($round = 0; $round * $formBars < $bars; $round++) {
            foreach ($timeline->strokes as $stroke) {
                $off = 2 * ($stroke->formTick % $beatTicks) === $beatTicks ? $this->offBeatMs : 0.0;
                $ms = $this->biasMs + $off + $this->spreadMs * self::normal($chance);
                if (self::even($chance) >= $this->missed && $stroke->bar + $round * $formBars < $bars) {
                    $taps[] = ['t' => round($stroke->t + $round * $timeline->seconds + $ms / 1000, 4), 'key' => self::key($stroke)];
                }
            }
        }
        usort($taps, static fn (array $a, array $b): int => $a['t'] <=> $b['t']);

        return $taps;
    }

    private static function key(PlayedStroke $stroke): string
    {
        return $stroke->stroke->direction->value ?? 'down';
    }

    /** Box and Muller's transform: a standard normal value from two even ones. */
    private static function normal(\Random\Randomizer $chance): float
    {
        return sqrt(-2 * log(1 - self::even($chance))) * cos(2 * M_PI * self::even($chance));
    }

    /** From 0 up to, but not including, 1. */
    private static function even(\Random\Randomizer $chance): float
    {
        return $chance->getInt(0, (1 << 30) - 1) / (1 << 30);
    }
}
