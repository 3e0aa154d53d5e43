<?php

declare(strict_types=1);

namespace Gravik\Neck\Failure;

use Gravik\Neck\NeckException;

final class MelodyOffTheNeck extends NeckException
{
    public function __construct(public readonly string $note)
    {
        parent::__construct(sprintf('%s with a note below it does not lie on this neck. Try the melody an octave lower or higher.', $note));
    }
}
