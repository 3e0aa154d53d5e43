<?php

declare(strict_types=1);

namespace Gravik\Formats\Failure;

use Gravik\Formats\MidiNotReadable;

final class MidiWithoutNotes extends MidiNotReadable
{
    public function __construct()
    {
        parent::__construct('This MIDI file holds no notes to listen to.');
    }
}
