<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Chart\Failure\ApproachSlotOutOfRange;
use Gravik\Chart\Failure\ApproachStepsOutOfRange;

/** A way of coming to a chord, as a rule: it can be placed wherever a chord is to be come to. */
final readonly class Move
{
    public const MOST_STEPS = 8;

    public const SHORTEST_SLOT = 240;

    public const LONGEST_SLOT = 3840;

    /**
     * @param int $steps     grips before the target, 1 to 8
     * @param int $slotTicks from one grip to the next
     */
    public function __construct(public string $id, public string $name, public ApproachKind $kind, public int $steps, public int $slotTicks)
    {
        if ($steps < 1 || $steps > self::MOST_STEPS) {
            throw new ApproachStepsOutOfRange($steps, self::MOST_STEPS);
        }
        if ($slotTicks < self::SHORTEST_SLOT || $slotTicks > self::LONGEST_SLOT) {
            throw new ApproachSlotOutOfRange($slotTicks);
        }
    }
}
