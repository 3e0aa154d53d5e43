<?php

declare(strict_types=1);

namespace Gravik\Neck\Finder;

use Gravik\Neck\Grip\Voicing;

/** One note added to a grip on an upper string. */
final readonly class Enrichment
{
    /**
     * @param string $degree of the added note in the grip's chord
     * @param bool   $fights whether it rubs against a tone of the chord when it is held
     */
    public function __construct(
        public int $string,
        public int $fret,
        public string $degree,
        public bool $fights,
        public Voicing $voicing,
    ) {}
}
