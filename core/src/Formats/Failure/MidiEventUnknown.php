<?php

declare(strict_types=1);

namespace Gravik\Formats\Failure;

use Gravik\Formats\MidiNotReadable;

final class MidiEventUnknown extends MidiNotReadable
{
    public function __construct(public readonly int $track)
    {
        parent::__construct(sprintf('Track %d of this MIDI file holds something that is no MIDI. Export it again.', $track));
    }
}
