<?php

declare(strict_types=1);

namespace Gravik\Band;

enum Instrument: string
{
    case Drums = 'drums';
    case Bass = 'bass';
    case Guitar = 'guitar';

    /** Whether what it plays is told by a groove. */
    public function playsAGroove(): bool
    {
        return match ($this) {
            self::Drums, self::Bass => true,
            self::Guitar => false,
        };
    }
}
