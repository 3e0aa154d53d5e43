<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

/** The kinds of stages in which an accompaniment is learned; the first ten in their usual order. */
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
    case Whole = 11;
    case HardChange = 12;
    case BassAlone = 13;
    case BrushesAlone = 14;
    case AllReleases = 15;
    case FullRun = 16;
    case Answer = 17;

    /** @return non-empty-list<self> what a teacher may add at any place of a lesson */
    public static function ofTheTeacher(): array
    {
        return [self::Answer, self::SlowAndEven, self::DampedRhythm, self::Whole, self::FullRun];
    }

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
            self::Whole => 'whole',
            self::HardChange => 'hard-change',
            self::BassAlone => 'bass-alone',
            self::BrushesAlone => 'brushes-alone',
            self::AllReleases => 'all-releases',
            self::FullRun => 'full-run',
            self::Answer => 'answer',
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
            self::Whole => 'the finished part, heard first',
            self::HardChange => 'one hard change alone',
            self::BassAlone => 'the bass line alone',
            self::BrushesAlone => 'the brushes alone',
            self::AllReleases => 'every release',
            self::FullRun => 'a slow and a full run',
            self::Answer => 'an answer of your own',
        };
    }

    /** @return ?self the stage that documents name so */
    public static function named(string $slug): ?self
    {
        return array_values(array_filter(self::cases(), static fn (self $each): bool => $each->slug() === $slug))[0] ?? null;
    }

    /** The stage that is played when nobody says which. */
    public static function usual(): self
    {
        return self::FullBand;
    }
}
