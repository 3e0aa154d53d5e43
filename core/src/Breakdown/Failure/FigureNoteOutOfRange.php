<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;

final class FigureNoteOutOfRange extends BreakdownNotValid
{
    public function __construct(public readonly int $string, public readonly int $fret)
    {
        parent::__construct(
            sprintf('String %d, fret %d is no place on a neck: strings count from 1 (highest), frets from 0 to 24.', $string, $fret),
            '',
        );
    }
}
