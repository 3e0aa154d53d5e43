<?php

declare(strict_types=1);

namespace Gravik\Chart;

/** Which chord of the song lies at a tick, and when it ends. */
final readonly class ChordClock
{
    /** @var list<int> by chord: the tick until which its grip can stay, through neighbours of the same name */
    private array $stays;

    /** @param list<int> $breaks ticks at which every grip is let go, even where its chord goes on */
    public function __construct(private Course $course, array $breaks = [])
    {
        $stays = [];
        $after = null;
        foreach (array_reverse($course->chords) as $chord) {
            $name = $chord->chord->text();
            $until = $chord->tick + $chord->ticks;
            [$next, $nextName, $nextUntil] = $after ?? [INF, '', $until];
            $goesOn = $next <= $until && $nextName === $name && ! in_array($next, $breaks, true);
            $stays[] = $goesOn ? $nextUntil : $until;
            $after = [$chord->tick, $name, $goesOn ? $nextUntil : $until];
        }
        $this->stays = array_reverse($stays);
    }

    /** Index into the course's chords; null where nothing sounds. */
    public function at(int $tick): ?int
    {
        $low = 0;
        $high = count($this->course->chords) - 1;
        while ($low <= $high) {
            $middle = intdiv($low + $high, 2);
            $chord = $this->course->chords[$middle];
            if ($tick < $chord->tick) {
                $high = $middle - 1;
            } elseif ($tick >= $chord->tick + $chord->ticks) {
                $low = $middle + 1;
            } else {
                return $middle;
            }
        }

        return null;
    }

    /** The chord after this one that has another name; the song goes round. */
    public function after(int $index): int
    {
        $count = count($this->course->chords);
        for ($step = 1; $step < $count; $step++) {
            $next = ($index + $step) % $count;
            if ($this->course->chords[$next]->chord->text() !== $this->course->chords[$index]->chord->text()) {
                return $next;
            }
        }

        return $index;
    }

    /**
     * The tick at which a grip struck at $tick must be let go: the next change to another chord.
     *
     * @param int $index of the chord it sounds
     */
    public function changeAfter(int $tick, int $index): int
    {
        $end = $this->stays[$index];

        return $end > $tick ? $end : $this->course->ticks() + $this->course->chords[$index]->ticks;
    }
}
