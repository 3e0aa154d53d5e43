<?php

declare(strict_types=1);

namespace Gravik\Listening\Hearing\Internal;

/**
 * Where the attack of a strum is heard, and how plainly.
 *
 * @internal
 */
final readonly class Onset
{
    /**
     * @param int   $frame ms from the beginning of the recording
     * @param float $rise  nepers of energy by which the attack rises above what sounded before, 0 or more
     * @param float $plain nepers by which it stands out farther than a beginning must; below 0 it may be nothing
     */
    public function __construct(public int $frame, public float $rise, public float $plain) {}

    /** Whether it stands out far enough to be a beginning whatever was planned. */
    public function isSure(): bool
    {
        return $this->plain >= 0;
    }
}
