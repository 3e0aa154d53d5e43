<?php

declare(strict_types=1);

namespace Gravik\Band;

use Gravik\Chart\Course;

/** Somebody who plays along with the guitar. A new one needs a class here and a place in the LineUp. */
interface Player
{
    public function part(): BandPart;

    /**
     * @param list<?Groove> $grooves one for each bar of the course; null where the part is out
     *
     * @return list<BandNote> through the whole course, in any order
     */
    public function play(Course $course, array $grooves): array;
}
