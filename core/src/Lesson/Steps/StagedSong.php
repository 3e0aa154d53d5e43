<?php

declare(strict_types=1);

namespace Gravik\Lesson\Steps;

use Gravik\Breakdown\Breakdown;
use Gravik\Lesson\Backing;

/** A song as a stage of its lesson plays it. */
final readonly class StagedSong
{
    /**
     * @param int              $level   to which patterns are thinned at most, 1 to 3
     * @param Backing          $backing what is played along to: the parts that are left, or a click
     * @param ?array{int, int} $loop    bars that go round, from 0, both included; null for all
     */
    public function __construct(public Breakdown $breakdown, public int $level, public Backing $backing, public ?array $loop) {}
}
