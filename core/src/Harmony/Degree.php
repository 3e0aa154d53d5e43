<?php

declare(strict_types=1);

namespace Gravik\Harmony;

use Gravik\Harmony\Failure\DegreeNotPossible;

/** A step above a chord's root: number 1–13 in the major scale, lowered or raised by semitones. */
final readonly class Degree
{
    private const SCALE = [0, 2, 4, 5, 7, 9, 11];

    public function __construct(public int $number, public int $alter = 0)
    {
        if ($number < 1 || $number > 13 || abs($alter) > 2) {
            throw new DegreeNotPossible($number, $alter);
        }
    }

    /** Semitones above the root, folded into the octave: 0–11. */
    public function semitones(): int
    {
        return (self::SCALE[($this->number - 1) % 7] + $this->alter + 12) % 12;
    }

    /** As it stands on a dot: R, ♭3, 5, ♯9. */
    public function label(): string
    {
        return $this->number === 1 && $this->alter === 0 ? 'R' : $this->text();
    }

    /** As it stands in a chord symbol: 1, ♭3, ♯11. */
    public function text(): string
    {
        return str_repeat($this->alter < 0 ? '♭' : '♯', abs($this->alter)).$this->number;
    }
}
