<?php

declare(strict_types=1);

namespace Gravik\Formats\Failure;

use Gravik\Formats\MidiNotReadable;

final class MidiWithoutBeats extends MidiNotReadable
{
    public function __construct()
    {
        parent::__construct('This MIDI file says that a quarter note has no length. Export it again.');
    }
}
