<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

/** The stages in which an accompaniment is learned, in order. */
enum Stage: int
{
    case Shapes = 1;
    case DampedRhythm = 2;
    case SlowAndEven = 3;
    case Releases = 4;
    case Accents = 5;
    case Ornaments = 6;
    case BassAndDrums = 7;
    case FullBand = 8;
    case Variations = 9;
    case AtTempo = 10;

    /** As documents name it. */
    public function slug(): string
    {
        return match ($this) {
            self::Shapes => 'shapes',
            self::DampedRhythm => 'damped-rhythm',
            self::SlowAndEven => 'slow-and-even',
            self::Releases => 'releases',
            self::Accents => 'accents',
            self::Ornaments => 'ornaments',
            self::BassAndDrums => 'bass-and-drums',
            self::FullBand => 'full-band',
            self::Variations => 'variations',
            self::AtTempo => 'at-tempo',
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::Shapes => 'shapes alone, long notes',
            self::DampedRhythm => 'rhythm on damped strings',
            self::SlowAndEven => 'both, slow and even',
            self::Releases => 'with releases',
            self::Accents => 'with accents',
            self::Ornaments => 'ornaments and pushes',
            self::BassAndDrums => 'with bass and drums',
            self::FullBand => 'with the full band',
            self::Variations => 'variations by pass',
            self::AtTempo => 'at tempo, the click thins out',
        };
    }

    /** The stage that is played when nobody says which. */
    public static function usual(): self
    {
        return self::FullBand;
    }
}
