<?php

declare(strict_types=1);

namespace Gravik\Chart;

/** Which chord of a form lies at a tick, and when it ends. */
final readonly class ChordClock
{
    public function __construct(private Form $form) {}

    /** Index into the form's chords; null where nothing sounds. */
    public function at(int $tick): ?int
    {
        $low = 0;
        $high = count($this->form->chords) - 1;
        while ($low <= $high) {
            $middle = intdiv($low + $high, 2);
            $chord = $this->form->chords[$middle];
            if ($tick < $chord->formTicks) {
                $high = $middle - 1;
            } elseif ($tick >= $chord->formTicks + $chord->ticks) {
                $low = $middle + 1;
            } else {
                return $middle;
            }
        }

        return null;
    }

    /** The chord after this one that has another name; the form goes round. */
    public function after(int $index): int
    {
        $count = count($this->form->chords);
        for ($step = 1; $step < $count; $step++) {
            $next = ($index + $step) % $count;
            if ($this->form->chords[$next]->chord->text() !== $this->form->chords[$index]->chord->text()) {
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
        $name = $this->form->chords[$index]->chord->text();
        $end = max($tick, $this->form->chords[$index]->formTicks);
        $count = count($this->form->chords);
        for ($next = $index; $next < $count; $next++) {
            $chord = $this->form->chords[$next];
            if ($chord->formTicks > $end || $chord->chord->text() !== $name) {
                break;
            }
            $end = max($end, $chord->formTicks + $chord->ticks);
        }

        return $end > $tick ? $end : $this->form->ticks() + $this->form->chords[$index]->ticks;
    }
}
