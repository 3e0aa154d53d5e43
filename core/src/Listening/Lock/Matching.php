<?php

declare(strict_types=1);

namespace Gravik\Listening\Lock;

/** Which played stroke belongs to which planned one. */
final readonly class Matching
{
    /**
     * @param array<int, int> $pairs  planned index => played index
     * @param list<int>       $missed planned indexes without a stroke
     * @param list<int>       $extra  played indexes that belong to nothing
     * @param list<float>     $shifts for each planned onset how far from it the player was looked for, seconds; it stays in
     *                                the reported bias
     */
    public function __construct(public array $pairs, public array $missed, public array $extra, public array $shifts) {}
}
