<?php

declare(strict_types=1);

namespace App\Documents;

use RuntimeException;

/** An id of the client's making that another object has already. Nothing is said of that object. */
final class IdTaken extends RuntimeException
{
    public static function byABreakdown(): self
    {
        return new self('Something else has this id already, so nothing was saved. Try again: a new id is made.');
    }

    public static function byATake(): self
    {
        return new self('Another take has this id already, so this one was not kept. Try again: a new id is made.');
    }
}
