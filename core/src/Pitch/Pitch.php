<?php

declare(strict_types=1);

namespace Gravik\Pitch;

use Gravik\Pitch\Failure\PitchNotReadable;

/** A spelled note in an octave: E♭3. C4 is MIDI number 60. */
final readonly class Pitch
{
    private function __construct(public NoteName $name, public int $octave) {}

    /** Reads "E♭3", "F#1", "B-1". */
    public static function parse(string $typed): self
    {
        if (preg_match('/^\s*([A-Ga-g][♭♯b#𝄫𝄪]{0,2})(-?\d)\s*$/u', $typed, $found) !== 1) {
            throw new PitchNotReadable($typed);
        }
        $pitch = new self(NoteName::parse($found[1]), (int) $found[2]);
        if ($pitch->midi() < 0 || $pitch->midi() > 127) {
            throw new PitchNotReadable($typed);
        }

        return $pitch;
    }

    /** @param int<0, 127> $midi */
    public static function ofMidi(int $midi, NoteName $name): self
    {
        return new self($name, intdiv($midi - $name->semitonesAboveC(), 12) - 1);
    }

    public function midi(): int
    {
        return 12 * ($this->octave + 1) + $this->name->semitonesAboveC();
    }

    public function text(): string
    {
        return $this->name->text().$this->octave;
    }
}
