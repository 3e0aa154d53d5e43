<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

/** What bars of a part are made of. */
enum Texture: string
{
    /** The pattern, over and over. */
    case Pattern = 'pattern';

    /** Written out: to be played as it stands, often together with others. */
    case Written = 'written';

    /** Free comping; what is heard is a hint, and nobody is held to it. */
    case Free = 'free';

    /** Each chord is struck once and rings: somebody sings or solos. */
    case Rings = 'rings';
}
