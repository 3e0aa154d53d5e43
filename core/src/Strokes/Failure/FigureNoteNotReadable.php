<?php

declare(strict_types=1);

namespace Gravik\Strokes\Failure;

use Gravik\Quote;
use Gravik\Strokes\StrokesException;

final class FigureNoteNotReadable extends StrokesException
{
    /** @param int $at character of what was typed, from 0 */
    public function __construct(public readonly string $typed, public readonly int $at)
    {
        parent::__construct(sprintf(
            '"%s" is no note of a figure. After = write string and fret, such as 5:3, several with +; 3:5h7 hammers on, '
                .'p pulls off, s slides, g is a grace note, b bends, B strikes it bent, r lets it down.',
            Quote::short($typed),
        ));
    }

    public function at(): int
    {
        return $this->at;
    }
}
