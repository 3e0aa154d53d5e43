<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

/** A grip that a hand cannot take, and the one it takes in its place. */
final readonly class EasedGrip
{
    /**
     * @param string         $why in words
     * @param list<int|null> $was frets, low to high
     * @param list<int|null> $now
     */
    public function __construct(public string $symbol, public string $why, public array $was, public array $now) {}
}
