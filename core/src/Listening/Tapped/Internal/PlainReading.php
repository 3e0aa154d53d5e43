<?php

declare(strict_types=1);

namespace Gravik\Listening\Tapped\Internal;

use Gravik\Listening\PlayedOnset;
use Gravik\Listening\Statistics;
use Gravik\Listening\Tapped\PatternReading;
use Gravik\Strokes\Articulation;
use Gravik\Strokes\Direction;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;
use Gravik\Time\Feel;
use Gravik\Time\Meter;
use Gravik\Time\Tempo;

/**
 * The rhythm as a teacher would write it down: one grid for the whole bar, the coarsest on which most taps lie, however
 * far a single one strays; bars that repeat are one bar, in which counts what most of them have.
 *
 * @internal used by RhythmReader
 */
final readonly class PlainReading
{
    /** Half of the taps lie so near, ms, or the grid is too coarse. */
    private const USUAL_MS = 40.0;

    /** So many may lie nearer to another slot or to none. */
    private const STRAYS = 0.2;

    /** A place of the bar counts when so many of the bars have it. */
    private const MOST_BARS = 0.5;

    private const ROUNDS = 3;

    public function __construct(private Tempo $tempo, private Meter $meter) {}

    /** @param non-empty-list<PlayedOnset> $taps in order of time */
    public function of(array $taps, int $bars): PatternReading
    {
        $reading = null;
        foreach ($this->meter->isCompound() ? [1, 3, 6] : [1, 2, 3, 4] as $division) {
            [$slots, $shiftMs, $offMs] = $this->placed($taps, $division);
            $strays = count(array_filter($offMs, fn (float $ms): bool => abs($ms) > 0.3 * 1000 * $this->tempo->beatSeconds() / $division));
            $meet = count($slots) - count(array_unique($slots));
            $reading = $this->reading($taps, $bars, $division, $slots, $shiftMs, $offMs);
            if (
                Statistics::median(array_map(abs(...), $offMs)) <= self::USUAL_MS
                && $strays <= self::STRAYS * count($taps)
                && $meet === 0
            ) {
                return $reading;
            }
        }

        return $reading;
    }

    /**
     * @param non-empty-list<PlayedOnset> $taps
     *
     * @return array{non-empty-list<int>, float, non-empty-list<float>} the slot of each tap, counted from the first bar; how late all
     *                                                                  come together, and what is left of each, ms
     */
    private function placed(array $taps, int $division): array
    {
        $slotMs = 1000 * $this->tempo->beatSeconds() / $division;
        $slots = $this->slots($taps, $slotMs, 0.0);
        $off = array_map(static fn (PlayedOnset $tap, int $slot): float => 1000 * $tap->t - $slot * $slotMs, $taps, $slots);
        for ($round = 1; $round < self::ROUNDS; $round++) {
            $slots = $this->slots($taps, $slotMs, Statistics::median($off));
            $off = array_map(static fn (PlayedOnset $tap, int $slot): float => 1000 * $tap->t - $slot * $slotMs, $taps, $slots);
        }
        $shift = Statistics::median($off);

        return [$slots, $shift, array_map(static fn (float $ms): float => $ms - $shift, $off)];
    }

    /**
     * @param non-empty-list<PlayedOnset> $taps
     *
     * @return non-empty-list<int> the slot nearest to each tap, where all of them come so many ms late
     */
    private function slots(array $taps, float $slotMs, float $shiftMs): array
    {
        return array_map(static fn (PlayedOnset $tap): int => (int) round((1000 * $tap->t - $shiftMs) / $slotMs), $taps);
    }

    /**
     * @param non-empty-list<PlayedOnset>   $taps
     * @param non-empty-list<int>   $slots
     * @param non-empty-list<float> $offMs
     */
    private function reading(array $taps, int $bars, int $division, array $slots, float $shiftMs, array $offMs): PatternReading
    {
        $inBar = $division * $this->meter->beats();
        $places = [];
        foreach ($slots as $index => $slot) {
            $places[($slot % $inBar + $inBar) % $inBar][] = $taps[$index];
        }
        ksort($places);
        $strokes = [];
        foreach ($places as $slot => $there) {
            if (count($there) > self::MOST_BARS * $bars) {
                $ups = count(array_filter($there, static fn (PlayedOnset $tap): bool => $tap->direction === Direction::Up));
                $downs = count(array_filter($there, static fn (PlayedOnset $tap): bool => $tap->direction === Direction::Down));
                $dead = count(array_filter($there, static fn (PlayedOnset $tap): bool => $tap->muted === true));
                $strokes[] = new Stroke(
                    $slot * intdiv($this->meter->beatTicks(), $division),
                    $slot % $division === 0 ? 1 : $division,
                    direction: $ups === $downs ? null : ($ups > $downs ? Direction::Up : Direction::Down),
                    articulation: 2 * $dead > count($there) ? Articulation::Chuck : Articulation::Ring,
                );
            }
        }
        $left = count(array_filter($places, static fn (array $there): bool => count($there) <= self::MOST_BARS * $bars));

        return new PatternReading(
            new Pattern($this->meter, $this->meter->barTicks(), [new Stream('strum', $strokes)]),
            Feel::straight(),
            $shiftMs,
            sqrt(array_sum(array_map(static fn (float $ms): float => $ms * $ms, $offMs)) / count($offMs)),
            $left,
            0.0,
            true,
        );
    }
}
