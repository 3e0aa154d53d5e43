<?php

declare(strict_types=1);

namespace Gravik\Performance\Internal;

use Gravik\Chart\Course;
use Gravik\Time\TimeMap;

/**
 * How much louder or softer than firm a part is at a tick, as a factor of amplitude: by the song's dynamics and its own.
 *
 * @internal
 */
final readonly class Gains
{
    /** @param list<int> $dynamics of the part, one for each bar of the course */
    public function __construct(private Course $course, private TimeMap $map, private array $dynamics) {}

    public function at(int $tick): float
    {
        $number = $this->map->barAt($tick);
        $bar = $this->course->bars[$number] ?? null;

        return $bar === null ? 1.0 : $bar->loudness->gain(($tick - $bar->tick) / $bar->meter->barTicks(), $this->dynamics[$number] ?? 0);
    }
}
