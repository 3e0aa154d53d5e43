<?php

declare(strict_types=1);

namespace Gravik\Neck\Failure;

use Gravik\Neck\NeckException;

final class NoStepwiseBass extends NeckException
{
    public function __construct()
    {
        parent::__construct(
            'The bass cannot go by steps through all of these chords. '
            .'Let the bass go free, widen the frets, or let the grips leave out more.',
        );
    }
}
