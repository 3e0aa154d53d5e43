<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Breakdown\Failure\FigureNoteOutOfRange;

/** Where a note of a figure is played at one place of the song, whatever the rule would say. */
final readonly class FixedNote
{
    /**
     * @param int $stream of the figure, from 0
     * @param int $tick   of its stroke, from the figure's start
     * @param int $note   number of the string it is typed on, which tells it from others of its stroke
     * @param int $string it is played on, 1 = highest
     */
    public function __construct(public int $stream, public int $tick, public int $note, public int $string, public int $fret)
    {
        if (min($string, $note) < 1 || max($string, $note) > 8 || $fret < 0 || $fret > FigureNote::HIGHEST_FRET) {
            throw new FigureNoteOutOfRange($string, $fret);
        }
    }

    /** So many frets higher on its string; null beyond the neck. */
    public function shifted(int $frets): ?self
    {
        $fret = $this->fret + $frets;

        return $fret < 0 || $fret > FigureNote::HIGHEST_FRET ? null : new self(
            $this->stream,
            $this->tick,
            $this->note,
            $this->string,
            $fret,
        );
    }

    /** Whether it is the place of the same note. */
    public function isOf(int $stream, int $tick, int $note): bool
    {
        return [$this->stream, $this->tick, $this->note] === [$stream, $tick, $note];
    }
}
