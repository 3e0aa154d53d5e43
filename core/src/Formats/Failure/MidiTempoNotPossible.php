<?php

declare(strict_types=1);

namespace Gravik\Formats\Failure;

use Gravik\Formats\MidiNotReadable;

final class MidiTempoNotPossible extends MidiNotReadable
{
    public function __construct()
    {
        parent::__construct(
            'This MIDI file states a tempo at which a beat has no length. Set its tempo in the program it comes from and export it again.',
        );
    }
}
