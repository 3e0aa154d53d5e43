<?php

declare(strict_types=1);

namespace Gravik\Neck;

use Gravik\Pitch\Pitch;

/** What one string needs to get from one tuning to another. Cautions are advice. */
final readonly class Retuning
{
    /**
     * @param int     $string    1 = highest
     * @param int     $semitones + up, − down, 0 where it stays
     * @param bool    $needed    whether the tune uses this string at all
     * @param ?string $caution   what to mind, in words
     */
    public function __construct(
        public int $string,
        public Pitch $from,
        public Pitch $to,
        public int $semitones,
        public bool $needed,
        public ?string $caution,
    ) {}
}
