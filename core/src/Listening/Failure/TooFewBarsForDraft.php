<?php

declare(strict_types=1);

namespace Gravik\Listening\Failure;

use Gravik\Listening\ListeningException;

final class TooFewBarsForDraft extends ListeningException
{
    public function __construct(public readonly int $bars, public readonly int $fewest)
    {
        parent::__construct(sprintf(
            'This recording has %s: too few to draft a song from. Record at least %d, or take over its tempo and strokes.',
            $bars === 1 ? 'one bar' : $bars.' bars',
            $fewest,
        ));
    }
}
