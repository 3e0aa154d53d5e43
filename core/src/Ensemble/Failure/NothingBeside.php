<?php

declare(strict_types=1);

namespace Gravik\Ensemble\Failure;

use Gravik\Ensemble\EnsembleException;

final class NothingBeside extends EnsembleException
{
    public function __construct()
    {
        parent::__construct('Nothing is struck in this part. Choose a recording or a MIDI file in which somebody plays.');
    }
}
