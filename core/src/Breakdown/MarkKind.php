<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

/** What is said of a value beside it. */
enum MarkKind: string
{
    /** Nobody knows yet; what else it may be is kept. */
    case Unsure = 'unsure';

    /** Both ways are right. */
    case Either = 'either';

    /** A sound off the chord that is meant. */
    case Colour = 'colour';

    public function words(): string
    {
        return match ($this) {
            self::Unsure => 'unsure',
            self::Either => 'either is fine',
            self::Colour => 'meant as colour',
        };
    }
}
