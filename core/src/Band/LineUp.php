<?php

declare(strict_types=1);

namespace Gravik\Band;

/** Who plays along. */
final readonly class LineUp
{
    /** @param list<Player> $players */
    private function __construct(public array $players) {}

    public static function of(Groove $groove): self
    {
        return new self([new Drummer($groove), new Bassist($groove)]);
    }
}
