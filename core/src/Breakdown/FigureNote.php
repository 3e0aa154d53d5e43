<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Breakdown\Failure\FigureNoteOutOfRange;
use Gravik\Strokes\Ornament;

/** A note of a figure as it was typed or played: its string and fret, and how it is come to. */
final readonly class FigureNote
{
    public const HIGHEST_FRET = 24;

    /** @param int $string number, 1 = highest */
    public function __construct(public int $string, public int $fret, public ?Ornament $ornament = null)
    {
        if ($string < 1 || $string > 8 || $fret < 0 || $fret > self::HIGHEST_FRET) {
            throw new FigureNoteOutOfRange($string, $fret);
        }
    }
}
