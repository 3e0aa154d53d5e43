<?php

declare(strict_types=1);

namespace Gravik\Listening\Lock\Internal;

/** One way of giving strokes to places in order, as a chain back to its beginning. */
final readonly class PairedSoFar
{
    /**
     * @param int   $stroke   the last stroke that is given away; −1 where none is yet
     * @param int   $pairs    how many are
     * @param int   $distance of all of them together, microseconds
     * @param ?self $before   the same without its last pair
     * @param int   $place    of the last pair
     */
    private function __construct(public int $stroke, public int $pairs, public int $distance, public ?self $before, public int $place) {}

    public static function none(): self
    {
        return new self(-1, 0, 0, null, -1);
    }

    public function with(int $place, int $stroke, int $distance): self
    {
        return new self($stroke, $this->pairs + 1, $this->distance + $distance, $this, $place);
    }

    public function isBetterThan(self $other): bool
    {
        return $this->pairs > $other->pairs || ($this->pairs === $other->pairs && $this->distance < $other->distance);
    }
}
