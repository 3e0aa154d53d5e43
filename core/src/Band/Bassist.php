<?php

declare(strict_types=1);

namespace Gravik\Band;

use Gravik\Chart\ChordClock;
use Gravik\Chart\Form;
use Gravik\Harmony\ChordSymbol;

/** Plays the bass line of a groove over the chords of the form; where a chord begins its root comes first. */
final readonly class Bassist implements Player
{
    private const LOUDNESS = 0.75;

    /** Roots lie between E1 and E♭2. */
    private const LOWEST = 28;

    private const STEP_BELOW = 1;

    public function __construct(private Groove $groove) {}

    public function part(): PartName
    {
        return PartName::Bass;
    }

    public function play(Form $form): array
    {
        $clock = new ChordClock($form);
        $signs = str_split($this->groove->bass);
        $notes = [];
        foreach (array_keys($form->bars) as $bar) {
            foreach ($signs as $slot => $sign) {
                $tick = $this->groove->tickOf($bar, $slot);
                $chord = $clock->at($tick);
                if ($sign === '.' || $sign === '-' || $chord === null) {
                    continue;
                }
                $here = $form->chords[$chord];
                $pitch = $here->formTicks === $tick
                    ? $this->root($here->chord)
                    : $this->pitch($sign, $here->chord, $form->chords[$clock->after($chord)]->chord);
                $until = $this->groove->tickOf($bar, $slot + $this->slotsHeld($signs, $slot));
                $notes[] = new BandNote($tick, $until, $this->groove->grid, $pitch, self::LOUDNESS);
            }
        }

        return $notes;
    }

    /** @param list<string> $signs */
    private function slotsHeld(array $signs, int $slot): int
    {
        $held = 1;
        while (($signs[$slot + $held] ?? '') === '-') {
            $held++;
        }

        return $held;
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

        return self::LOWEST + ($pitchClass - self::LOWEST % 12 + 12) % 12;
    }
}
