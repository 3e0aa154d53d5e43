<?php

declare(strict_types=1);

namespace Gravik\Formats\Failure;

use Gravik\Formats\MidiNotReadable;

final class NotMidi extends MidiNotReadable
{
    public function __construct()
    {
        parent::__construct('This is no MIDI file: it does not begin as one. Choose a file saved as .mid.');
    }
}
