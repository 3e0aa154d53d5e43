<?php

declare(strict_types=1);

namespace Gravik\Strokes;

/** Down falls from the low strings to the high ones. */
enum Direction: string
{
    case Down = 'down';
    case Up = 'up';

    public function opposite(): self
    {
        return $this === self::Down ? self::Up : self::Down;
    }
}
