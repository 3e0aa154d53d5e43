<?php

declare(strict_types=1);

namespace Gravik\Band;

use Gravik\Chart\Course;

/** Who plays the tune, or solos freely where it has none, which is silence for whoever practises. */
final readonly class Soloist implements Player
{
    public function __construct(private BandPart $part) {}

    public function part(): BandPart
    {
        return $this->part;
    }

    public function play(Course $course, array $bars): array
    {
        return array_merge([], ...array_map(
            static fn (PartBar $bar): array => $bar->role === Role::Out ? [] : $bar->tune,
            $bars,
        ));
    }
}
