<?php

declare(strict_types=1);

namespace App\Models;

/** How far a recording is on its way to being heard. */
enum HearingState: string
{
    case Waits = 'waits';
    case IsHeard = 'is-heard';
    case Done = 'done';
    case Refused = 'refused';

    public function isOver(): bool
    {
        return $this === self::Done || $this === self::Refused;
    }
}
