<?php

declare(strict_types=1);

namespace Gravik\Listening\Failure;

use Gravik\Listening\ListeningException;

final class TooFewStrokesForFeel extends ListeningException
{
    public function __construct(public readonly int $count, public readonly int $fewest)
    {
        parent::__construct(sprintf(
            '%s too few to measure a feel: it takes at least %d.',
            $count === 1 ? 'One stroke is' : $count.' strokes are',
            $fewest,
        ));
    }
}
