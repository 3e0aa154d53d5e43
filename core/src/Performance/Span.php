<?php

declare(strict_types=1);

namespace Gravik\Performance;

use Gravik\Band\Role;
use Gravik\Breakdown\Texture;
use Gravik\Chart\VoicingLine;
use Gravik\Strokes\Hand\Levels;

/** A stretch of the song in which the guitar plays one pattern over one line of grips. */
final readonly class Span
{
    /**
     * @param int $from    tick
     * @param int $until   tick at which it ends
     * @param int $begins  tick at which the pattern begins that lies over it, at or before $from
     * @param int $dynamic levels louder or softer than the song is there
     * @param int $level   to which the pattern is thinned, 1 to 3
     */
    public function __construct(
        public int $from,
        public int $until,
        public int $begins,
        public HandInUse $hand,
        public VoicingLine $line,
        public Texture $texture = Texture::Pattern,
        public int $dynamic = 0,
        public int $level = Levels::HIGHEST,
        public Role $role = Role::Active,
    ) {}

    /** The slot that lies nearest to a tick, counted through all patterns. */
    public function slotNear(float $tick): int
    {
        $slot = (int) round(($tick - $this->begins) / $this->hand->plan->pattern->slotTicks());
        $slots = $this->hand->slots();

        return $this->hand->firstSlot + ($slot % $slots + $slots) % $slots;
    }

    /** Ticks of the pattern that lie at a tick of the song. */
    public function inPattern(int $tick): int
    {
        return ($tick - $this->begins) % $this->hand->plan->pattern->ticks;
    }
}
