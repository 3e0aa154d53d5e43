<?php

declare(strict_types=1);

namespace Gravik\Performance;

use Gravik\Breakdown\Breakdown;

/** One way to mend what a warning names, and the breakdown with it done. */
final readonly class Repair
{
    /** @param ?list<list<int|null>> $grips of the form's chords where the repair changes one; null where they stay */
    public function __construct(public string $text, public Breakdown $breakdown, public ?array $grips = null) {}
}
