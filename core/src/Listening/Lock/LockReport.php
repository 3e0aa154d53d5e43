<?php

declare(strict_types=1);

namespace Gravik\Listening\Lock;

use Gravik\Breakdown\Gate;
use Gravik\Listening\Hit;
use Gravik\Listening\Interval;
use Gravik\Listening\Statistics;

/** A take held against its plan. ms: + late, − early. */
final readonly class LockReport
{
    /**
     * @param ?float            $latencyMs taken off before; null where the device's delay is not known, so that the bias includes it
     * @param ?float            $biasMs    null where nothing was matched
     * @param bool              $anchored  whether the bias is against the band; else it is against the take's own strokes on the beats
     * @param ?float            $driftMs   what a changing tempo alone moves from the first beat to the last stroke, + later; taken off bias, spread,
     *                                     swing and slots, not off the hits; null where the tempo does not move
     * @param ?float            $driftBpmPerMin + faster and faster; null without a drift and in takes of fewer than eight bars
     * @param ?Interval         $bias      within what the bias lies, 95 %; spread and drift likewise
     * @param list<SlotFigures> $slots     that the plan uses, in order
     * @param list<Hit>         $hits
     * @param list<Finding>     $findings  worst first, then one that holds
     * @param list<string>      $failed    what kept the gate shut; empty when it opens
     */
    public function __construct(
        public int $planned,
        public int $played,
        public int $matched,
        public int $missed,
        public int $extra,
        public ?float $latencyMs,
        public ?float $biasMs,
        public ?float $spreadMs,
        public ?float $driftMs,
        public ?float $driftBpmPerMin,
        public ?SwingPlayed $swing,
        public int $directionsTold,
        public int $directionsWrong,
        public array $slots,
        public array $hits,
        public array $findings,
        public array $failed,
        public Gate $gate,
        public bool $anchored,
        public ?Interval $bias = null,
        public ?Interval $spread = null,
        public ?Interval $drift = null,
    ) {}

    /**
     * The same with what is said of it.
     *
     * @param list<Finding> $findings
     * @param list<string>  $failed
     */
    public function saying(array $findings, array $failed): self
    {
        return new self(
            $this->planned,
            $this->played,
            $this->matched,
            $this->missed,
            $this->extra,
            $this->latencyMs,
            $this->biasMs,
            $this->spreadMs,
            $this->driftMs,
            $this->driftBpmPerMin,
            $this->swing,
            $this->directionsTold,
            $this->directionsWrong,
            $this->slots,
            $this->hits,
            $findings,
            $failed,
            $this->gate,
            $this->anchored,
            $this->bias,
            $this->spread,
            $this->drift,
        );
    }

    /**
     * How each bar lay as a whole, so that a drift shows bar by bar.
     *
     * @return array<int, float> bar => median of its strokes, ms
     */
    public function barsMs(): array
    {
        $bars = [];
        foreach ($this->hits as $hit) {
            $bars[$hit->bar][] = $hit->ms;
        }
        ksort($bars);

        return array_map(Statistics::median(...), $bars);
    }
}
