<?php

declare(strict_types=1);

namespace Gravik\Lesson\Log;

use DateTimeImmutable;

/** Something that had been passed, played again to see whether it holds. */
final readonly class TakenCheck
{
    /** @param int $days that lay between it and the one before, as planned: 1 to 30 */
    public function __construct(public DateTimeImmutable $on, public int $days, public bool $passed) {}
}
