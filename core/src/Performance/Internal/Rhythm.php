<?php

declare(strict_types=1);

namespace Gravik\Performance\Internal;

use Gravik\Band\Drum;
use Gravik\Band\Part;
use Gravik\Band\PartName;
use Gravik\Breakdown\Breakdown;
use Gravik\Chart\Form;
use Gravik\Harmony\ChordSymbol;
use Gravik\Performance\Event;
use Gravik\Performance\EventKind;
use Gravik\Time\Feel;
use Gravik\Time\Ruler;

/**
 * Drums and bass from the groove, bar by bar over the form.
 *
 * @internal used by Performer
 */
final readonly class Rhythm
{
    private const LOUDNESS = ['g' => 0.2, 'x' => 0.5, 'X' => 0.85];

    private const DRUM_SECONDS = 0.2;

    private const BASS_VELOCITY = 0.75;

    /** The bass keeps its root between E1 and E♭2. */
    private const LOWEST_BASS = 28;

    private const STEP_BELOW = 1;

    public function __construct(private Breakdown $breakdown, private Form $form, private Ruler $ruler) {}

    /** @return list<Event> */
    public function events(): array
    {
        return [...$this->drums(), ...$this->bass()];
    }

    /** @return list<Event> */
    private function drums(): array
    {
        $groove = $this->breakdown->groove;
        $part = $this->breakdown->part(PartName::Drums);
        $ruler = $this->rulerOf($part);
        $events = [];
        foreach (array_keys($this->form->bars) as $bar) {
            foreach ($groove->drums as $drum => $signs) {
                foreach (str_split($signs) as $slot => $sign) {
                    if ($sign !== '.') {
                        $tick = $bar * $groove->meter->barTicks() + $slot * $groove->slotTicks();
                        $events[] = new Event(PartName::Drums, $this->time($ruler, $tick, $part), self::DRUM_SECONDS,
                            Drum::named($drum)->value, self::LOUDNESS[$sign] * $part->level, EventKind::Drum);
                    }
                }
            }
        }

        return $events;
    }

    /** @return list<Event> */
    private function bass(): array
    {
        $groove = $this->breakdown->groove;
        $part = $this->breakdown->part(PartName::Bass);
        $ruler = $this->rulerOf($part);
        $clock = new ChordClock($this->form);
        $signs = str_split($groove->bass);
        $events = [];
        foreach (array_keys($this->form->bars) as $bar) {
            foreach ($signs as $slot => $sign) {
                $tick = $bar * $groove->meter->barTicks() + $slot * $groove->slotTicks();
                $chord = $clock->at($tick);
                if ($sign === '.' || $sign === '-' || $chord === null) {
                    continue;
                }
                $held = 1;
                while (($signs[$slot + $held] ?? '') === '-') {
                    $held++;
                }
                $from = $this->time($ruler, $tick, $part);
                $to = $this->time($ruler, $tick + $held * $groove->slotTicks(), $part);
                $here = $this->form->chords[$chord];
                $pitch = $here->formTicks === $tick
                    ? $this->root($here->chord)
                    : $this->pitch($sign, $here->chord, $this->form->chords[$clock->after($chord)]->chord);
                $events[] = new Event(PartName::Bass, $from, max(0.05, 0.94 * ($to - $from)), $pitch, self::BASS_VELOCITY * $part->level, EventKind::Bass);
            }
        }

        return $events;
    }

    private function pitch(string $sign, ChordSymbol $chord, ChordSymbol $next): int
    {
        if ($sign === '>') {
            return $this->root($next) - self::STEP_BELOW;
        }
        $root = $this->root($chord);
        foreach ($chord->degrees() as $degree) {
            if ((string) $degree->number === $sign) {
                return $root + $degree->semitones();
            }
        }

        return $root + match ($sign) {
            '3', '5' => 7, '8' => 12, default => 0
        };
    }

    private function root(ChordSymbol $chord): int
    {
        $pitchClass = ($chord->bass ?? $chord->root)->pitchClass();

        return self::LOWEST_BASS + ($pitchClass - self::LOWEST_BASS % 12 + 12) % 12;
    }

    private function rulerOf(Part $part): Ruler
    {
        return $part->straight ? new Ruler($this->ruler->meter, $this->ruler->tempo, Feel::straight()) : $this->ruler;
    }

    private function time(Ruler $ruler, int $tick, Part $part): float
    {
        return max(0.0, $ruler->secondsAt($tick, $this->breakdown->groove->grid) + $part->offsetMs / 1000);
    }
}
