<?php

declare(strict_types=1);

namespace Gravik\Formats;

use Gravik\CoreException;

final class MidiNotReadable extends \InvalidArgumentException implements CoreException
{
    public static function notMidi(): self
    {
        return new self('This is no MIDI file: it does not begin as one. Choose a file saved as .mid.');
    }

    public static function cutShort(int $track): self
    {
        return new self(sprintf('This MIDI file is cut short in its track %d. Copy or export it again.', $track));
    }

    public static function sequences(): self
    {
        return new self('This MIDI file holds several songs of their own (format 2). Save the one you mean as a file of its own, in format 0 or 1.');
    }

    public static function filmTime(): self
    {
        return new self('This MIDI file counts time in film frames (SMPTE) and not in beats. Save it with beats: most programs call that ticks per quarter note.');
    }

    public static function division(): self
    {
        return new self('This MIDI file says that a quarter note has no length. Export it again.');
    }

    public static function tempo(): self
    {
        return new self('This MIDI file states a tempo at which a beat has no length. Set its tempo in the program it comes from and export it again.');
    }

    public static function format(int $format): self
    {
        return new self(sprintf('This MIDI file is of format %d, which does not exist. Export it again.', $format));
    }

    public static function noNotes(): self
    {
        return new self('This MIDI file holds no notes to listen to.');
    }

    public static function oddEvent(int $track): self
    {
        return new self(sprintf('Track %d of this MIDI file holds something that is no MIDI. Export it again.', $track));
    }
}
