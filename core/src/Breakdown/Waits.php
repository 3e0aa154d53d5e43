<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

/** What a stage leaves out on purpose; it comes back in a later one. */
enum Waits: string
{
    /** Shapes and colours are shown without the names of chords and degrees. */
    case Names = 'names';

    /** Grips are reduced to root and guide tones. */
    case AlteredNotes = 'altered';

    /** The last bars of the song, which lead back, are not played. */
    case Turnaround = 'turnaround';

    /** No click: the foot keeps the beat. */
    case Click = 'click';

    public function words(): string
    {
        return match ($this) {
            self::Names => 'the names of chords and degrees',
            self::AlteredNotes => 'altered and added notes',
            self::Turnaround => 'the turnaround',
            self::Click => 'the click',
        };
    }
}
