<?php

declare(strict_types=1);

namespace Gravik\Lesson\Log;

/** The slot that does not close in. */
final readonly class SlotFinding
{
    public function __construct(public string $slot, public string $text, public string $reason) {}
}
