<?php

declare(strict_types=1);

namespace Gravik\Ensemble;

/** Two parts in one another's way, or one in the wrong place. */
final readonly class Clash
{
    /**
     * @param string       $text     what is wrong, and where
     * @param float        $severity 0 to 1: how much it is heard (rules of thumb)
     * @param list<string> $parts    ids
     * @param list<int>    $bars     of the song, from 0, in order
     * @param list<int>    $ticks    of the song in the first of these bars that it is about; none for all of it
     * @param list<Mend>   $mends    the likeliest first
     */
    public function __construct(
        public ClashKind $kind,
        public string $text,
        public float $severity,
        public array $parts,
        public array $bars,
        public array $ticks,
        public array $mends,
    ) {}
}
