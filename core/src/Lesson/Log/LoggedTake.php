<?php

declare(strict_types=1);

namespace Gravik\Lesson\Log;

use DateTimeImmutable;

/** A take as the log knows it. */
final readonly class LoggedTake
{
    /**
     * @param string $stage   of the lesson; '' for the whole song
     * @param float  $tempo   beats a minute
     * @param float  $seconds it lasted
     */
    public function __construct(
        public DateTimeImmutable $at,
        public string $stage,
        public float $tempo,
        public bool $passed,
        public float $seconds,
    ) {}
}
