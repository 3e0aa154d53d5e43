<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Neck\Voicing;

/** An approach as it lies in the form: which grips, from where, so that the target comes on time. */
final readonly class PlacedApproach
{
    /**
     * @param int                     $target    index of the course's chord it leads to
     * @param int                     $fromTicks of the course; an approach to its first chord begins at its end
     * @param non-empty-list<Voicing> $grips     one a slot, in order of time
     */
    public function __construct(public ApproachKind $kind, public int $target, public int $fromTicks, public int $slotTicks, public array $grips) {}

    public function untilTicks(): int
    {
        return $this->fromTicks + count($this->grips) * $this->slotTicks;
    }
}
