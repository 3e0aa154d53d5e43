<?php

declare(strict_types=1);

namespace Gravik\Neck\Line;

/** How the lowest notes of a line may move. */
enum BassMotion: string
{
    case Free = 'free';

    /** At most a whole step from chord to chord, by inversions. */
    case Stepwise = 'stepwise';

    public const STEP = 2;
}
