<?php

declare(strict_types=1);

namespace Gravik\Listening\Lock;

use Gravik\Listening\Interval;
use Gravik\Time\Swing;

/** Swing as it was played beside the plan, as long : short, with a 95 % interval. */
final readonly class SwingPlayed
{
    public function __construct(public float $planned, public float $played, public float $low, public float $high) {}

    /** Whether they surely lie further from it than this. */
    public function isBeyond(float $points): bool
    {
        $planned = Swing::share($this->planned);

        return (new Interval(
            100 * (Swing::share($this->low) - $planned),
            100 * (Swing::share($this->high) - $planned),
        ))->isBeyond($points);
    }

    /** How far the off-beats lie from their planned place, in hundredths of the pair; + late. */
    public function points(): float
    {
        return 100 * (Swing::share($this->played) - Swing::share($this->planned));
    }
}
