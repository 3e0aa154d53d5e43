<?php

declare(strict_types=1);

namespace Gravik\Harmony;

enum Mode: string
{
    case Major = 'major';
    case Minor = 'minor';

    /** @return list<int> semitones above the tonic of the scale's own notes */
    public function steps(): array
    {
        return $this === self::Minor ? [0, 2, 3, 5, 7, 8, 10] : [0, 2, 4, 5, 7, 9, 11];
    }
}
