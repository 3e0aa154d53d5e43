<?php

declare(strict_types=1);

namespace Gravik\Strokes\Failure;

use Gravik\Strokes\StrokesException;

final class RhythmTooShort extends StrokesException
{
    public function __construct(public readonly int $strokes, public readonly int $notes)
    {
        parent::__construct(sprintf(
            'This rhythm has %d strokes and the figure %d. Take a rhythm with more strokes, or take notes out.',
            $strokes,
            $notes,
        ));
    }
}
