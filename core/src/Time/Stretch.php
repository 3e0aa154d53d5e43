<?php

declare(strict_types=1);

namespace Gravik\Time;

/** A part of the song in one meter, tempo and feel, and where it begins. */
final readonly class Stretch
{
    /**
     * @param int   $tick    straight ticks from the first bar of the song
     * @param int   $bar     bars before it
     * @param float $beats   beats before it, each of its own meter
     * @param float $seconds before it
     */
    public function __construct(public int $tick, public int $bar, public float $beats, public float $seconds, public Ruler $ruler) {}

    public function beatsAt(int $tick, int $division): float
    {
        return $this->beats + $this->ruler->beatsAt($tick - $this->tick, $division);
    }

    public function secondsAt(int $tick, int $division): float
    {
        return $this->seconds + $this->ruler->secondsAt($tick - $this->tick, $division);
    }

    /** Ticks from the bar line before. */
    public function inBar(int $tick): int
    {
        $bar = $this->ruler->meter->barTicks();

        return (($tick - $this->tick) % $bar + $bar) % $bar;
    }

    /** Ticks from the beat before. */
    public function inBeat(int $tick): int
    {
        return $this->inBar($tick) % $this->ruler->meter->beatTicks();
    }
}
