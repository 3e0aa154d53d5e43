<?php

declare(strict_types=1);

namespace Gravik\Harmony;

/** One of the names that some notes can have. */
final readonly class ChordName
{
    /**
     * @param list<Degree> $degrees of each note, from the lowest
     * @param list<Degree> $omitted the root or the fifth where it doesn't sound
     * @param string       $why     in words: what it is in the key, what is left out, what lies lowest
     * @param float        $cost    the lower, the better the name fits; rules of thumb, see ChordNamer
     */
    public function __construct(
        public ChordSymbol $chord,
        public array $degrees,
        public array $omitted,
        public string $why,
        public float $cost,
    ) {}
}
