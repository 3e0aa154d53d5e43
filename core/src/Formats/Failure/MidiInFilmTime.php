<?php

declare(strict_types=1);

namespace Gravik\Formats\Failure;

use Gravik\Formats\MidiNotReadable;

final class MidiInFilmTime extends MidiNotReadable
{
    public function __construct()
    {
        parent::__construct(
            'This MIDI file counts time in film frames (SMPTE) and not in beats. '
                .'Save it with beats: most programs call that ticks per quarter note.',
        );
    }
}
