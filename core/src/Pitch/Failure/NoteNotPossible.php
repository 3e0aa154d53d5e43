<?php

declare(strict_types=1);

namespace Gravik\Pitch\Failure;

use Gravik\Pitch\PitchException;

final class NoteNotPossible extends PitchException
{
    public function __construct(public readonly int $letter, public readonly int $alter)
    {
        parent::__construct(sprintf(
            'There is no note with letter %d and %d signs: letters run from 0 (C) to 6 (B), signs from −2 to 2.',
            $letter,
            $alter,
        ));
    }
}
