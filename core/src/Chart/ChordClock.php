<?php

declare(strict_types=1);

namespace Gravik\Chart;

/** Which chord of the song lies at a tick, and when it ends. */
final readonly class ChordClock
{
    /** @param list<int> $breaks ticks at which every grip is let go, even where its chord goes on */
    public function __construct(private Course $course, private array $breaks = []) {}

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
        $chords = $this->course->chords;
        $name = $chords[$index]->chord->text();
        $end = max($tick, $chords[$index]->tick);
        $count = count($chords);
        for ($next = $index; $next < $count; $next++) {
            $chord = $chords[$next];
            if ($chord->tick > $end || $chord->chord->text() !== $name || ($next > $index && in_array($chord->tick, $this->breaks, true))) {
                break;
            }
            $end = max($end, $chord->tick + $chord->ticks);
        }

        return $end > $tick ? $end : $this->course->ticks() + $chords[$index]->ticks;
    }
}
