<?php

declare(strict_types=1);

namespace Gravik\Neck\Line;

use Gravik\Neck\Grip\Voicing;

/** One voicing for every chord of a line, and what it costs to play them in order. */
final readonly class Path
{
    /**
     * @param list<Voicing>                                           $voicings
     * @param list<array{frets: int, held: int, top: int}>            $moves one fewer than voicings: first finger's signed shift in frets, notes held, semitones of the top voice
     */
    public function __construct(public float $cost, public array $voicings, public array $moves) {}

    /** Frets that the first finger travels over the whole line. */
    public function fretsTravelled(): int
    {
        return array_sum(array_map(static fn (array $move): int => abs($move['frets']), $this->moves));
    }

    /** Notes that stay on their string from one grip to the next, over the whole line. */
    public function notesHeld(): int
    {
        return array_sum(array_column($this->moves, 'held'));
    }
}
