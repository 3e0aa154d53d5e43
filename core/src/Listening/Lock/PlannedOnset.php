<?php

declare(strict_types=1);

namespace Gravik\Listening\Lock;

use Gravik\Strokes\Direction;

/** A moment at which the plan has something to hear. */
final readonly class PlannedOnset
{
    /**
     * @param float $t        seconds from bar 1 beat 1
     * @param int   $slot     of its pattern, counted through all patterns played
     * @param int   $bar      from 0, counted on through repeats of the song
     * @param int   $tick     straight ticks from bar 1, counted on through repeats
     * @param bool  $muted    whether it is a dead stroke
     * @param float     $seconds  how long it is to sound
     * @param list<int> $midi     pitches of the strings struck
     */
    public function __construct(
        public float $t,
        public int $slot,
        public int $bar,
        public int $tick,
        public ?Direction $direction,
        public bool $muted,
        public float $seconds,
        public array $midi,
    ) {}
}
