<?php

declare(strict_types=1);

namespace Gravik\Lesson\Log;

use DateTimeImmutable;

/** What was reached in one stage. */
final readonly class LoggedStage
{
    /**
     * @param string $stage of the lesson; '' for the whole song
     * @param list<float|null> $clean by take: the fastest that had passed until then and with it, null before the first
     * @param ?DateTimeImmutable $passed when its gate was passed for the first time
     * @param ?float $now  the clean tempo today, null where none is yet
     * @param ?float $before the clean tempo two weeks ago, null where there was none
     */
    public function __construct(
        public string $stage,
        public array $clean,
        public ?DateTimeImmutable $passed,
        public ?float $now,
        public ?float $before,
    ) {}
}
