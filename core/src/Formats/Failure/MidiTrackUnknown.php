<?php

declare(strict_types=1);

namespace Gravik\Formats\Failure;

use Gravik\Formats\MidiNotReadable;

final class MidiTrackUnknown extends MidiNotReadable
{
    /** @param list<int> $there numbers of those that have notes, from 1 */
    public function __construct(public readonly int $track, public readonly array $there)
    {
        parent::__construct(sprintf('Track %d of this MIDI file plays no notes. Choose one of %s.', $track, implode(', ', $there)));
    }
}
