<?php

declare(strict_types=1);

namespace Gravik\Formats\Failure;

use Gravik\Formats\MidiNotReadable;

final class MidiFormatUnknown extends MidiNotReadable
{
    public function __construct(public readonly int $format)
    {
        parent::__construct(sprintf('This MIDI file is of format %d, which does not exist. Export it again.', $format));
    }
}
