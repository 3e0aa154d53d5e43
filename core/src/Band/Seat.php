<?php

declare(strict_types=1);

namespace Gravik\Band;

/** Where somebody listens from: the mix is made for the room, and the one who plays hears another. */
enum Seat: string
{
    case Room = 'room';
    case Guitar = 'guitar';

    /** Metres from the guitarist's ear to the guitar, and to everybody else on a small stage. */
    private const NEAR = 1.0;

    private const FAR = 3.0;

    public function words(): string
    {
        return match ($this) {
            self::Room => 'the room',
            self::Guitar => 'the guitar’s chair',
        };
    }

    /**
     * Sound falls off with distance, 20 log10 of its ratio (direct sound alone: walls bring the two nearer).
     *
     * @return float dB a part is louder by than in the mix, at most 0
     */
    public function gainDb(Instrument $instrument): float
    {
        return match ($this) {
            self::Room => 0.0,
            self::Guitar => $instrument === Instrument::Guitar ? 0.0 : 20 * log10(self::NEAR / self::FAR),
        };
    }
}
