<?php

declare(strict_types=1);

namespace Gravik\Time;

/**
 * Where every tick of a song lies in beats, bars and seconds. Before its first stretch the first goes on backwards, after
 * its end the last goes on; who plays the song again adds its length.
 */
final readonly class TimeMap
{
    /**
     * @param non-empty-list<Stretch> $stretches in order, the first at tick 0
     * @param int                     $ticks     length of the song
     */
    private function __construct(public array $stretches, public int $ticks) {}

    /**
     * @param non-empty-list<array{bars: int, ruler: Ruler}> $parts in order; neighbours that sound alike become one stretch
     */
    public static function of(array $parts): self
    {
        $last = new Stretch(0, 0, 0.0, 0.0, $parts[0]['ruler']);
        $stretches = [$last];
        $tick = $bar = 0;
        foreach ($parts as ['bars' => $bars, 'ruler' => $ruler]) {
            if (! $last->ruler->equals($ruler)) {
                $stretches[] = $last = new Stretch($tick, $bar, $last->beatsAt($tick, 1), $last->secondsAt($tick, 1), $ruler);
            }
            $tick += $bars * $ruler->meter->barTicks();
            $bar += $bars;
        }

        return new self($stretches, $tick);
    }

    /** The same song without any lean. */
    public function straight(): self
    {
        return new self(array_map(
            static fn (Stretch $each): Stretch => new Stretch(
                $each->tick,
                $each->bar,
                $each->beats,
                $each->seconds,
                $each->ruler->straight(),
            ),
            $this->stretches,
        ), $this->ticks);
    }

    public function first(): Ruler
    {
        return $this->stretches[0]->ruler;
    }

    public function at(int $tick): Stretch
    {
        $low = 0;
        $high = count($this->stretches) - 1;
        while ($low < $high) {
            $middle = intdiv($low + $high + 1, 2);
            if ($this->stretches[$middle]->tick <= $tick) {
                $low = $middle;
            } else {
                $high = $middle - 1;
            }
        }

        return $this->stretches[$low];
    }

    /** @param int $division of the beat that the place belongs to */
    public function secondsAt(int $tick, int $division): float
    {
        return $this->at($tick)->secondsAt($tick, $division);
    }

    /** Length of the song. */
    public function seconds(): float
    {
        return $this->secondsAt($this->ticks, 1);
    }

    public function bars(): int
    {
        return $this->barAt($this->ticks);
    }

    /** From 0; the bar line belongs to the bar it begins. */
    public function barAt(int $tick): int
    {
        $stretch = $this->at($tick);

        return $stretch->bar + (int) floor(($tick - $stretch->tick) / $stretch->ruler->meter->barTicks());
    }

    /** The tick of a bar line, bars counted from 0. */
    public function tickOfBar(int $bar): int
    {
        $found = $this->stretches[0];
        foreach ($this->stretches as $stretch) {
            $found = $stretch->bar <= $bar ? $stretch : $found;
        }

        return $found->tick + ($bar - $found->bar) * $found->ruler->meter->barTicks();
    }

    /** Straight ticks of a moment, as if nothing leaned. */
    public function ticksAt(float $seconds): float
    {
        $found = $this->stretches[0];
        foreach ($this->stretches as $stretch) {
            $found = $stretch->seconds <= $seconds ? $stretch : $found;
        }

        return $found->tick + ($seconds - $found->seconds) / $found->ruler->tempo->beatSeconds() * $found->ruler->meter->beatTicks();
    }
}
