<?php

declare(strict_types=1);

namespace Gravik\Listening\Hearing;

/** One note of a hummed or whistled melody. */
final readonly class SungNote
{
    /**
     * @param float $t       seconds into the recording at which it begins
     * @param float $seconds how long it lasts
     * @param int   $midi    the nearest note in the singer's own tuning
     */
    public function __construct(public float $t, public float $seconds, public int $midi) {}
}
