<?php

declare(strict_types=1);

namespace Gravik\Band;

/** One note of somebody who plays along. When it sounds in seconds is decided where it is performed. */
final readonly class BandNote
{
    /**
     * @param int   $tick     from bar 1 beat 1, straight
     * @param int   $until    tick at which it is let go
     * @param int   $division of the beat that its place belongs to: what swing moves is decided by it
     * @param int   $pitch    MIDI note; a drum's key on the General MIDI percussion channel
     * @param float $loudness 0 to 1, before the part's own level
     */
    public function __construct(public int $tick, public int $until, public int $division, public int $pitch, public float $loudness) {}
}
