<?php

declare(strict_types=1);

namespace Gravik\Neck;

/** One voicing for every chord of a line, and what it costs to play them in order. */
final readonly class Path
{
    /**
     * @param list<Voicing>                                           $voicings
     * @param list<array{frets: int, held: int, top: int}>            $moves one fewer than voicings: first finger's signed shift in frets, notes held, semitones of the top voice
     */
    public function __construct(public float $cost, public array $voicings, public array $moves) {}
}
