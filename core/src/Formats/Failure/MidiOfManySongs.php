<?php

declare(strict_types=1);

namespace Gravik\Formats\Failure;

use Gravik\Formats\MidiNotReadable;

final class MidiOfManySongs extends MidiNotReadable
{
    public function __construct()
    {
        parent::__construct(
            'This MIDI file holds several songs of their own (format 2). Save the one you mean as a file of its own, in format 0 or 1.',
        );
    }
}
