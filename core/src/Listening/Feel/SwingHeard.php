<?php

declare(strict_types=1);

namespace Gravik\Listening\Feel;

use Gravik\Time\Swing;

/** Swing as long : short, with a 95 % interval, from so many pairs. */
final readonly class SwingHeard
{
    /** Fewer pairs, or an interval wider than this share of the ratio, are a guess. */
    private const ENOUGH_PAIRS = 8;

    private const SURE_WIDTH = 0.25;

    /** An off-beat that leans less than this many hundredths of its pair is straight. */
    private const STRAIGHT_POINTS = 2.5;

    /** @param list<float> $ratios of every pair it was measured from */
    public function __construct(public float $ratio, public float $low, public float $high, public array $ratios) {}

    public function pairs(): int
    {
        return count($this->ratios);
    }

    public function isSure(): bool
    {
        return $this->pairs() >= self::ENOUGH_PAIRS && $this->high - $this->low <= self::SURE_WIDTH * $this->ratio;
    }

    public function isStraight(): bool
    {
        return abs(100 * (Swing::share($this->ratio) - 0.5)) < self::STRAIGHT_POINTS;
    }
}
