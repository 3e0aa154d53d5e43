<?php

declare(strict_types=1);

namespace Gravik\Lesson\Steps;

/** What a stage adds to those before it: one thing at a time. */
enum Layer: string
{
    case Releases = 'releases';
    case AllReleases = 'all-releases';
    case Accents = 'accents';
    case Ornaments = 'ornaments';
    case BassAndDrums = 'bass-and-drums';
    case Band = 'band';
    case Passes = 'passes';

    /** As it stands in a list of what is still to come. */
    public function words(): string
    {
        return match ($this) {
            self::Releases => 'the releases on 2 and 4',
            self::AllReleases => 'the other releases',
            self::Accents => 'the accents',
            self::Ornaments => 'slides, pushes and figures',
            self::BassAndDrums => 'bass and drums',
            self::Band => 'the rest of the band',
            self::Passes => 'what other passes do otherwise',
        };
    }
}
