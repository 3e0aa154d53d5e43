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
     */
    public function __construct(public int $written, public int $tick, public int $visit, public Meter $meter) {}
}
