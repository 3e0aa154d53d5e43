<?php

declare(strict_types=1);

namespace Gravik\Lesson;

use Gravik\Lesson\Failure\LadderUnknown;

/** How a ladder gets from its slow tempo to its goal. */
enum LadderMode: string
{
    /** A step up after two clean cycles in a row, one down after two that are not. */
    case Gated = 'gated';

    /** A little faster every cycle, to arrive on time. */
    case Ramp = 'ramp';

    /** Long cycles slow, short ones at the goal, by turns. */
    case Bursts = 'bursts';

    public static function parse(string $typed): self
    {
        return self::tryFrom($typed) ?? throw new LadderUnknown($typed);
    }
}
