<?php

declare(strict_types=1);

namespace Gravik\Formats\Failure;

use Gravik\Formats\MidiNotReadable;

final class MidiInAnotherMeter extends MidiNotReadable
{
    public function __construct(public readonly string $stated, public readonly string $asked)
    {
        parent::__construct(sprintf(
            'This MIDI file is in %s, and the song begins in %s. Choose a file in %2$s, or change the meter of the song.',
            $stated,
            $asked,
        ));
    }
}
