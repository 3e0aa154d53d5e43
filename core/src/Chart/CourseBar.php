<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Time\Meter;

/** A bar of the song as it is played. */
final readonly class CourseBar
{
    /**
     * @param int $written which bar of the written song it is
     * @param int $tick    of its bar line
     * @param int $visit   index of the section's visit it belongs to
     * @param int $inVisit number of the bar in it, from 0: those of an ending count on after the section's line
     */
    public function __construct(
        public int $written,
        public int $tick,
        public int $visit,
        public int $inVisit,
        public Meter $meter,
        public Loudness $loudness,
    ) {}

    public function until(): int
    {
        return $this->tick + $this->meter->barTicks();
    }
}
