<?php

declare(strict_types=1);

namespace Gravik\Formats\Failure;

use Gravik\Formats\MidiNotReadable;

final class MidiCutShort extends MidiNotReadable
{
    public function __construct(public readonly int $track)
    {
        parent::__construct(sprintf('This MIDI file is cut short in its track %d. Copy or export it again.', $track));
    }
}
