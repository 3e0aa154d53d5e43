<?php

declare(strict_types=1);

namespace Gravik\Band;

use Gravik\Band\Failure\DrumUnknown;

/** A drum of the kit. The number is its key on the General MIDI percussion channel. */
enum Drum: int
{
    case Kick = 36;
    case Rim = 37;
    case Snare = 38;
    case Hat = 42;
    case Ride = 51;
    case Shaker = 70;

    /** @throws BandException */
    public static function named(string $name): self
    {
        return match ($name) {
            'kick' => self::Kick,
            'rim' => self::Rim,
            'snare' => self::Snare,
            'hat' => self::Hat,
            'ride' => self::Ride,
            'shaker' => self::Shaker,
            default => throw new DrumUnknown($name),
        };
    }
}
