<?php

declare(strict_types=1);

namespace App\School;

use RuntimeException;

/** A link or a code by which nobody comes in any more. */
final class LinkNotOpen extends RuntimeException
{
    public static function unknown(): self
    {
        return new self('This link is none of this school’s. Ask whoever sent it for a new one.');
    }

    public static function used(): self
    {
        return new self('This link was used already: it works once. Sign in, or ask your teacher for a new one.');
    }

    public static function expired(): self
    {
        return new self('This link is older than seven days. Ask your teacher for a new one.');
    }

    public static function begun(): self
    {
        return new self('This school has an owner already. Sign in, or ask for a link.');
    }

    public static function closedCode(): self
    {
        return new self('No class is open under this code. Check it, or ask your teacher whether it is still open.');
    }
}
