<?php

declare(strict_types=1);

namespace Gravik\Performance;

use Gravik\Chart\VoicingLine;

/** A stretch of the song in which the guitar plays one pattern over one line of grips. */
final readonly class Span
{
    /**
     * @param int $from  tick at which it, and its pattern, begins
     * @param int $until tick at which it ends
     */
    public function __construct(public int $from, public int $until, public HandInUse $hand, public VoicingLine $line) {}

    /** The slot that lies nearest to a tick, counted through all patterns. */
    public function slotNear(float $tick): int
    {
        $slot = (int) round(($tick - $this->from) / $this->hand->plan->pattern->slotTicks());
        $slots = $this->hand->slots();

        return $this->hand->firstSlot + ($slot % $slots + $slots) % $slots;
    }
}
