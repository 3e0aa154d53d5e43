<?php

declare(strict_types=1);

namespace Gravik\Chart;

/** How the hand comes to one chord of the song. It holds while that place still has that chord. */
final readonly class PlacedMove
{
    /**
     * @param Place         $at     of the target
     * @param ?list<string> $passes ids of those it is played in; null for all
     * @param ?list<int>    $times  of the section in a pass, from 1; null for all
     */
    public function __construct(
        public Move $move,
        public Place $at,
        public string $symbol,
        public ?array $passes = null,
        public ?array $times = null,
    ) {}

    /** @param ?list<string> $passes */
    public function with(?Place $at = null, ?string $symbol = null, ?array $passes = null): self
    {
        return new self($this->move, $at ?? $this->at, $symbol ?? $this->symbol, $passes ?? $this->passes, $this->times);
    }

    public function belongsTo(FormChord $chord): bool
    {
        return $this->at->equals($chord->at) && $this->symbol === $chord->chord->text();
    }

    public function isPlayedIn(Visit $visit): bool
    {
        return ($this->passes === null || in_array($visit->pass, $this->passes, true))
            && ($this->times === null || in_array($visit->time, $this->times, true));
    }
}
