<?php

declare(strict_types=1);

namespace Gravik\Lesson;

/** How practising begins until somebody says otherwise (rules of thumb). */
final readonly class UsualPractice
{
    /**
     * @param float $startShare of the written tempo
     * @param int   $bars       of a cycle
     * @param int   $restAfter  minutes of playing after which a rest is proposed
     */
    public function __construct(
        public float $startShare = 0.6,
        public int $minutes = 9,
        public int $bars = 4,
        public int $restAfter = 25,
    ) {}
}
