<?php

declare(strict_types=1);

namespace Gravik\Band;

/** What a part does while a section comes. */
enum Role: string
{
    case Active = 'active';
    /** long guide tones that fill holes */
    case Passive = 'passive';
    /** quarter notes, low and soft, all down */
    case Four = 'four';
    /** strikes what the guitar strikes, and nothing else */
    case Unison = 'unison';
    case Doubles = 'doubles';
    case Out = 'out';

    public function words(): string
    {
        return match ($this) {
            self::Active => 'active',
            self::Passive => 'passive',
            self::Four => 'four to the bar',
            self::Unison => 'unison',
            self::Doubles => 'doubles the melody',
            self::Out => 'out',
        };
    }

    /** Whether it shapes rhythm and harmony of its own, so that two are one too many. */
    public function leads(): bool
    {
        return match ($this) {
            self::Active => true,
            self::Passive, self::Four, self::Unison, self::Doubles, self::Out => false,
        };
    }
}
