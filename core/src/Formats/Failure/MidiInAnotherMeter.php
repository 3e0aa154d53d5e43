<?php

declare(strict_types=1);

namespace Gravik\Formats\Failure;

use Gravik\Formats\MidiNotReadable;

final class MidiInAnotherMeter extends MidiNotReadable
{
    public function __construct(public readonly string $stated, public readonly string $asked)
    {
        parent::__construct("This MIDI file is in {$stated}, and the song begins in {$asked}. Choose a file in {$asked}, or change the song's meter.");
    }
}
