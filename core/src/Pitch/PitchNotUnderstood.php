<?php

declare(strict_types=1);

namespace Gravik\Pitch;

use Gravik\CoreException;
use Gravik\Quote;

final class PitchNotUnderstood extends \InvalidArgumentException implements CoreException
{
    public static function noteName(string $typed): self
    {
        return new self(sprintf(
            '"%s" is no note name. Write a letter A to G with ♯ or ♭ if needed, such as F♯ or Bb.',
            Quote::short($typed),
        ));
    }

    public static function pitch(string $typed): self
    {
        return new self(sprintf('"%s" is no pitch. Write a note and its octave, such as E2 or F#3.', Quote::short($typed)));
    }

    public static function noSuchNote(int $letter, int $alter): self
    {
        return new self(sprintf(
            'There is no note with letter %d and %d signs: letters run from 0 (C) to 6 (B), signs from −2 to 2.',
            $letter,
            $alter,
        ));
    }
}
