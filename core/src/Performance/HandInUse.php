<?php

declare(strict_types=1);

namespace Gravik\Performance;

use Gravik\Strokes\Hand\HandPlan;
use Gravik\Strokes\NamedPattern;

/** A pattern as the hand plays it in this performance. */
final readonly class HandInUse
{
    /** @param int $firstSlot number of its first slot: the slots of all patterns played are counted through */
    public function __construct(public NamedPattern $named, public HandPlan $plan, public int $firstSlot) {}

    /** How many slots it has. */
    public function slots(): int
    {
        return intdiv($this->plan->pattern->ticks, $this->plan->pattern->slotTicks());
    }
}
