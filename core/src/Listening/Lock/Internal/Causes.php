<?php

declare(strict_types=1);

namespace Gravik\Listening\Lock\Internal;

use Gravik\Listening\Hit;
use Gravik\Listening\Interval;
use Gravik\Listening\Lock\LockReport;
use Gravik\Listening\Lock\SlotFigures;
use Gravik\Listening\Statistics;

/**
 * What moves many slots at once: a shift that all share, and on top of it one that the off-beats share. What is left of
 * a slot after these is its own.
 *
 * @internal used by Findings
 */
final readonly class Causes
{
    /** A shift is common when it leaves so many of the strokes' slots within the gate. */
    private const EXPLAINS = 0.6;

    /**
     * @param float $sharedMs  what every slot is off by; of upbeats alone, whose swing is held against the band, 0
     * @param float $offBeatMs what off-beats are off by on top of it
     * @param bool  $isShared  whether the slots agree on it
     * @param ?Interval $shared within what the shared shift lies, 95 %; null where there is none
     * @param bool  $isKnown   whether the device's delay is taken off and the band's beat known, so that early and late mean something
     */
    private function __construct(
        public float $sharedMs,
        public float $offBeatMs,
        public bool $isShared,
        public bool $isKnown,
        private ?Interval $shared = null,
    ) {}

    public static function of(LockReport $report): self
    {
        $known = $report->anchored && $report->latencyMs !== null;
        $onBeat = self::biases($report->slots, false);
        $offBeat = self::biases($report->slots, true);
        if ($onBeat === [] && $report->swing !== null && $report->anchored) {
            return new self(0.0, $offBeat === [] ? 0.0 : Statistics::median($offBeat), false, $known);
        }
        $shared = Statistics::median($onBeat !== [] ? $onBeat : ($offBeat !== [] ? $offBeat : [0.0]));
        $self = new self(
            $shared,
            $onBeat === [] || $offBeat === [] || $report->swing === null ? 0.0 : Statistics::median($offBeat) - $shared,
            true,
            $known,
        );
        $within = $of = 0;
        foreach ($report->slots as $slot) {
            $of += $slot->n;
            $within += $slot->biasMs !== null && abs($slot->biasMs - $self->explains($slot)) <= $report->gate->biasMs ? $slot->n : 0;
        }

        return new self(
            $self->sharedMs,
            $self->offBeatMs,
            $within >= self::EXPLAINS * $of,
            $known,
            self::interval($report, $onBeat !== []),
        );
    }

    /** Whether the shared shift surely is more than this, ms. */
    public function isBeyond(float $ms): bool
    {
        return $this->shared?->isBeyond($ms) ?? true;
    }

    /** Of the strokes that the shared shift was taken from. */
    private static function interval(LockReport $report, bool $onBeatsAlone): ?Interval
    {
        // After a drift the strokes themselves still have its curve.
        if ($report->driftMs !== null) {
            return $report->bias;
        }
        $own = array_column(
            array_filter($report->slots, static fn (SlotFigures $slot): bool => ! $onBeatsAlone || ! $slot->offBeat),
            'slot',
            'slot',
        );

        return Interval::ofMedian(array_values(array_map(
            static fn (Hit $hit): float => $hit->ms,
            array_filter($report->hits, static fn (Hit $hit): bool => isset($own[$hit->slot])),
        )));
    }

    /** What the causes move this slot by, ms. */
    public function explains(SlotFigures $slot): float
    {
        return $this->sharedMs + ($slot->offBeat ? $this->offBeatMs : 0.0);
    }

    /**
     * Each stroke's slot once, so that a slot that is played more weighs more.
     *
     * @param list<SlotFigures> $slots
     *
     * @return list<float>
     */
    private static function biases(array $slots, bool $offBeat): array
    {
        $biases = [];
        foreach ($slots as $slot) {
            if ($slot->offBeat === $offBeat && $slot->biasMs !== null) {
                array_push($biases, ...array_fill(0, max(1, $slot->n), $slot->biasMs));
            }
        }

        return $biases;
    }
}
