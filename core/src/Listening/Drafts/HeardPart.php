<?php

declare(strict_types=1);

namespace Gravik\Listening\Drafts;

/** One thing a draft took from a recording, and how sure it is. */
final readonly class HeardPart
{
    /**
     * @param string $what  "Chords"
     * @param string $says  what was heard
     * @param float  $sure  0 to 1: by how much of it it stands
     * @param string $why   in a sentence
     */
    public function __construct(public string $what, public string $says, public float $sure, public string $why) {}
}
