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
}
