<?php

declare(strict_types=1);

namespace Gravik\Band;

/** What a groove belongs to, as far as it decides who leads. */
enum Style: string
{
    case Swing = 'swing';
    case Latin = 'latin';
    case Funk = 'funk';
    case Straight = 'straight';

    /** Whether the guitar usually leads the chords. */
    public function guitarLeads(): bool
    {
        return match ($this) {
            self::Latin, self::Funk => true,
            self::Swing, self::Straight => false,
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::Swing => 'swing',
            self::Latin => 'a Latin feel',
            self::Funk => 'funk',
            self::Straight => 'a straight feel',
        };
    }
}
