<?php

declare(strict_types=1);

namespace Gravik\Listening\Failure;

use Gravik\Listening\ListeningException;

final class ClicksNotHeard extends ListeningException
{
    public function __construct(public readonly int $heard, public readonly int $played)
    {
        parent::__construct(sprintf(
            'The microphone heard %d of the %d clicks. Play them over the loudspeaker, not headphones, a little louder, and hold the microphone near it.',
            $heard,
            $played,
        ));
    }
}
