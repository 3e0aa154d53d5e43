<?php

declare(strict_types=1);

namespace Gravik\Neck;

/** One note added to a grip on an upper string. */
final readonly class Enrichment
{
    /** @param string $degree of the added note in the grip's chord */
    public function __construct(public int $string, public int $fret, public string $degree, public Voicing $voicing) {}
}
