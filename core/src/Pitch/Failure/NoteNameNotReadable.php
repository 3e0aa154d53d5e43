<?php

declare(strict_types=1);

namespace Gravik\Pitch\Failure;

use Gravik\Pitch\PitchException;
use Gravik\Quote;

final class NoteNameNotReadable extends PitchException
{
    public function __construct(public readonly string $typed)
    {
        parent::__construct(sprintf(
            '"%s" is no note name. Write a letter A to G with ♯ or ♭ if needed, such as F♯ or Bb.',
            Quote::short($typed),
        ));
    }
}
