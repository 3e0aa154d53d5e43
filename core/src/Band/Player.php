<?php

declare(strict_types=1);

namespace Gravik\Band;

use Gravik\Chart\Course;

/** Somebody who plays along with the guitar. A new one needs a class here and a place in the LineUp. */
interface Player
{
    public function part(): BandPart;

    /**
     * @param list<PartBar> $bars one for each bar of the course
     *
     * @return list<BandNote> through the whole course, in any order
     *
     * @throws BandException where the part cannot play what is asked
     */
    public function play(Course $course, array $bars): array;
}
