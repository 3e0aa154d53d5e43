<?php

declare(strict_types=1);

namespace Gravik\Ensemble;

/** How two rhythms of a bar lie to one another. */
enum Likeness: string
{
    case GuitarAlone = 'guitar-alone';
    case OtherAlone = 'other-alone';
    case Together = 'together';
    case NearlyAlike = 'nearly-alike';
    case Interlocking = 'interlocking';

    public function words(): string
    {
        return match ($this) {
            self::GuitarAlone => 'the guitar alone',
            self::OtherAlone => 'the other alone',
            self::Together => 'together',
            self::NearlyAlike => 'nearly alike',
            self::Interlocking => 'interlocking',
        };
    }
}
