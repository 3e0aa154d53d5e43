<?php

declare(strict_types=1);

namespace Gravik\Listening\Hearing;

/** A recording that can be read block by block, so that a long one needs no more memory than a short one. */
interface AudioSource
{
    /** @return int samples a second, 8000 to 96000 */
    public function rate(): int;

    /** How long it is. */
    public function seconds(): float;

    /** @return \Generator<int, list<float>> one channel, about −1 to 1, in order of time; blocks of any length */
    public function blocks(): \Generator;
}
