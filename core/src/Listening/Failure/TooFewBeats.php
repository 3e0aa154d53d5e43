<?php

declare(strict_types=1);

namespace Gravik\Listening\Failure;

use Gravik\Listening\ListeningException;

final class TooFewBeats extends ListeningException
{
    public function __construct(public readonly int $count, public readonly int $fewest)
    {
        parent::__construct(sprintf(
            '%s too few to tell the tempo: tap at least %d.',
            $count === 1 ? 'One beat is' : $count.' beats are',
            $fewest,
        ));
    }
}
