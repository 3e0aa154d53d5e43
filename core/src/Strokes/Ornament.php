<?php

declare(strict_types=1);

namespace Gravik\Strokes;

use Gravik\Strokes\Failure\StrokeValueOutOfRange;

/** What is done to a stroke's pitch or sweep. */
final readonly class Ornament
{
    /** @param int $frets where it comes from or goes to, in frets from the grip (negative: from below); 0 where it has none */
    public function __construct(public OrnamentKind $kind, public int $frets = 0)
    {
        abs($frets) <= 12 || throw new StrokeValueOutOfRange('ornament', 'moves at most 12 frets.');
    }

    /** Whether it can be done there: nothing comes to an open string from below, or slides down from it. */
    public function fitsOn(int $fret): bool
    {
        return $this->kind === OrnamentKind::SlideOut ? $fret > 0 || $this->frets > 0 : $fret + $this->frets >= 0;
    }
}
