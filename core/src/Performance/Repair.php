<?php

declare(strict_types=1);

namespace Gravik\Performance;

use Gravik\Breakdown\Breakdown;

/** One way to mend what a warning names, and the breakdown with it done. */
final readonly class Repair
{
    /**
     * @param ?string               $line  id of the line of grips that it changes; null where all stay
     * @param ?list<list<int|null>> $grips of that line, for the written song's chords
     */
    public function __construct(
        public string $text,
        public Breakdown $breakdown,
        public ?string $line = null,
        public ?array $grips = null,
    ) {}
}
