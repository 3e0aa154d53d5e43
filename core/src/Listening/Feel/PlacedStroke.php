<?php

declare(strict_types=1);

namespace Gravik\Listening\Feel;

use Gravik\Strokes\Direction;

/** A stroke that was heard, and the slot it belongs to. */
final readonly class PlacedStroke
{
    /** From so many dB above the median stroke on it is an accent, below so many it is soft. */
    private const HARD_DB = 3.0;

    private const SOFT_DB = -4.0;

    /**
     * @param float  $t       seconds
     * @param int    $bar     from 0; before bar 1 below 0
     * @param int    $slot    of the bar, from 0
     * @param float  $ms      off its slot, + late
     * @param ?float $levelDb against the median stroke, where known
     * @param ?bool  $muted   where known
     * @param ?Direction $direction where known
     * @param ?float $seconds how long it sounded, where known
     */
    public function __construct(
        public float $t,
        public int $bar,
        public int $slot,
        public float $ms,
        public ?float $levelDb,
        public ?bool $muted,
        public ?Direction $direction = null,
        public ?float $seconds = null,
    ) {}

    public function inBar(int $bar): self
    {
        return new self($this->t, $bar, $this->slot, $this->ms, $this->levelDb, $this->muted, $this->direction, $this->seconds);
    }

    /** @return int 0 soft, 1 plain, 2 accented */
    public function accent(): int
    {
        return self::accentAt($this->levelDb);
    }

    /** @param ?float $levelDb against the median stroke; where it is not known, a stroke is plain */
    public static function accentAt(?float $levelDb): int
    {
        return match (true) {
            $levelDb === null => 1,
            $levelDb >= self::HARD_DB => 2,
            $levelDb <= self::SOFT_DB => 0,
            default => 1,
        };
    }
}
