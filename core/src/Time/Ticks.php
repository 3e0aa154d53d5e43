<?php

declare(strict_types=1);

namespace Gravik\Time;

/** The unit of musical time: whole ticks, straight (swing comes in only where ticks become beats that sound). */
final readonly class Ticks
{
    public const PER_QUARTER = 960;

    public const PER_WHOLE_NOTE = 3840;
}
