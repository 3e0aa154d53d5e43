<?php

declare(strict_types=1);

namespace Gravik\Time;

/**
 * Turns straight ticks into beats and seconds that sound: the one place where swing comes in.
 *
 * With p the share of the pair (see Swing), eighth swing moves the half of a beat divided in 2 or 4 to p, and its quarters
 * to the middles of the two parts. Sixteenth swing does the same inside each half of a beat divided in 4. Beats divided
 * in 1, 3 or 6 never move.
 */
final readonly class Ruler
{
    /** Share of the pair at which its second note sounds. */
    public float $p;

    public float $ratio;

    public SwingUnit $unit;

    /** Asked for at every note of a song. */
    private int $beatTicks;

    private float $beatSeconds;

    public function __construct(public Meter $meter, public Tempo $tempo, Feel $feel)
    {
        $this->ratio = $feel->ratioAt($tempo);
        $this->p = Swing::share($this->ratio);
        $this->unit = $feel->unit;
        $this->beatTicks = $meter->beatTicks();
        $this->beatSeconds = $tempo->beatSeconds();
    }

    public function equals(self $other): bool
    {
        return $this->meter->equals($other->meter)
            && $this->tempo->bpm === $other->tempo->bpm
            && $this->p === $other->p
            && $this->unit === $other->unit;
    }

    /** Whether the off-beats lean so far that it is heard as swing. */
    public function swings(): bool
    {
        return $this->ratio > Feel::SWINGS;
    }

    /** The same beat without any lean, for a part that leaves the swing to the others. */
    public function straight(): self
    {
        return new self($this->meter, $this->tempo, Feel::straight());
    }

    /**
     * @param int $ticks    from bar 1 beat 1
     * @param int $division of the beat that the place belongs to
     */
    public function beatsAt(int $ticks, int $division): float
    {
        $beat = (int) floor($ticks / $this->beatTicks);
        $within = ($ticks - $beat * $this->beatTicks) / $this->beatTicks;
        if ($this->unit === SwingUnit::Eighth && ($division === 2 || $division === 4)) {
            $within = $this->leaned($within);
        } elseif ($this->unit === SwingUnit::Sixteenth && $division === 4) {
            $within = $within < 0.5 ? $this->leaned(2 * $within) / 2 : 0.5 + $this->leaned(2 * $within - 1) / 2;
        }

        return $beat + $within;
    }

    public function secondsAt(int $ticks, int $division): float
    {
        return $this->beatsAt($ticks, $division) * $this->beatSeconds;
    }

    public function seconds(float $beats): float
    {
        return $beats * $this->beatSeconds;
    }

    private function leaned(float $share): float
    {
        return $share < 0.5 ? $share * 2 * $this->p : $this->p + ($share - 0.5) * 2 * (1 - $this->p);
    }
}
