<?php

declare(strict_types=1);

namespace Gravik\Band;

/** How a part plays what its role asks of it. */
enum Way: string
{
    /** as the groove has it */
    case Plain = 'plain';
    /** the groove, and a fill where a section ends */
    case Fills = 'fills';
    case RootFifth = 'root-fifth';
    case TwoFeel = 'two-feel';
    case Walking = 'walking';
    case Octaves = 'octaves';
    case Boogie = 'boogie';
    /** what it plays over the first chord of a section, under all of them */
    case Ostinato = 'ostinato';
    case Shells = 'shells';
    case Spread = 'spread';
    case Upbeats = 'upbeats';
    case Pads = 'pads';
    case Stabs = 'stabs';
    case StabsInTwo = 'stabs-in-two';
    case Sung = 'sung';
    case Plucked = 'plucked';
    case Blown = 'blown';
    case Bowed = 'bowed';

    public function words(): string
    {
        return match ($this) {
            self::Plain => 'as the groove has it',
            self::Fills => 'with fills at ends',
            self::RootFifth => 'root and fifth',
            self::TwoFeel => 'in two',
            self::Walking => 'walks',
            self::Octaves => 'octaves',
            self::Boogie => 'boogie',
            self::Ostinato => 'stays on one figure',
            self::Shells => 'shells',
            self::Spread => 'spread chords',
            self::Upbeats => 'off the beat',
            self::Pads => 'held chords',
            self::Stabs => 'stabs and answers',
            self::StabsInTwo => 'stabs in two voices',
            self::Sung => 'sung',
            self::Plucked => 'plucked',
            self::Blown => 'blown',
            self::Bowed => 'bowed',
        };
    }
}
