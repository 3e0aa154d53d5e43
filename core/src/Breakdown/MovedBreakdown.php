<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Chart\Pin;

/** A breakdown in its new key or above another capo, and the pinned grips that could not come along. */
final readonly class MovedBreakdown
{
    /** @param list<Pin> $dropped as they were before the move */
    private function __construct(public Breakdown $breakdown, public array $dropped) {}

    /** @param callable(Pin): ?Pin $moved what becomes of a pin; null where it cannot come along */
    public static function of(Breakdown $breakdown, callable $moved): self
    {
        $dropped = [];
        $lines = [];
        foreach ($breakdown->lines as $line) {
            $pins = [];
            foreach ($line->pins as $pin) {
                $there = $moved($pin);
                $there === null ? $dropped[] = $pin : $pins[] = $there;
            }
            $lines[] = $line->with(pins: $pins);
        }

        return new self($breakdown->with(lines: $lines), $dropped);
    }
}
