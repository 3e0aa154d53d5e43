<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

/** What a value belongs to that a mark stands on. */
enum Marked: string
{
    case Song = 'song';
    case Guitar = 'guitar';
    case Section = 'section';
    case Chord = 'chord';
    case Pattern = 'pattern';
    case Stroke = 'stroke';
    case Grip = 'grip';
    case Figure = 'figure';
    case Pass = 'pass';

    /** @return non-empty-list<string> fields that may be marked */
    public function fields(): array
    {
        return match ($this) {
            self::Song => ['key', 'meter', 'tempo', 'feel', 'genre'],
            self::Guitar => ['tuning', 'capo', 'setUp'],
            self::Section => ['line', 'key', 'meter', 'tempo', 'feel'],
            self::Chord => ['symbol'],
            self::Pattern => ['school'],
            self::Stroke => ['direction', 'articulation', 'accent', 'length', 'strings', 'ornament', 'offsetMs', 'chord'],
            self::Grip => ['frets'],
            self::Figure => ['notes'],
            self::Pass => ['notes', 'lead'],
        };
    }

    public function hasPlace(): bool
    {
        return match ($this) {
            self::Chord, self::Grip => true,
            self::Song, self::Guitar, self::Section, self::Pattern, self::Stroke, self::Figure, self::Pass => false,
        };
    }

    public function hasId(): bool
    {
        return match ($this) {
            self::Section, self::Pattern, self::Stroke, self::Grip, self::Figure, self::Pass => true,
            self::Song, self::Guitar, self::Chord => false,
        };
    }
}
