<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Neck\Grip\Voicing;
use Gravik\Time\TimeMap;

/** An approach as it lies in the form: which grips, from where, so that the target comes on time. */
final readonly class PlacedApproach
{
    /**
     * @param int                     $target    index of the course's chord it leads to
     * @param int                     $fromTicks of the course; an approach to its first chord begins at its end
     * @param non-empty-list<Voicing> $grips     one a slot, in order of time
     */
    public function __construct(
        public ApproachKind $kind,
        public int $target,
        public int $fromTicks,
        public int $slotTicks,
        public array $grips,
    ) {}

    /** Where it begins, in words: "bar 2, the half of beat 3". */
    public function from(TimeMap $map): string
    {
        $stretch = $map->at($this->fromTicks);
        $beat = $stretch->inBar($this->fromTicks) / $stretch->ruler->meter->beatTicks() + 1;
        $whole = (int) floor($beat);
        $part = match (round(12 * ($beat - $whole))) {
            0.0 => "beat {$whole}",
            6.0 => "the half of beat {$whole}",
            default => 'beat '.rtrim(number_format($beat, 2), '0'),
        };

        return sprintf('bar %d, %s', $map->barAt($this->fromTicks) + 1, $part);
    }

    public function untilTicks(): int
    {
        return $this->fromTicks + count($this->grips) * $this->slotTicks;
    }
}
