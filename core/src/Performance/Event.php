<?php

declare(strict_types=1);

namespace Gravik\Performance;

use Gravik\Band\BandPart;
use Gravik\Strokes\Direction;

/** One sounding thing of the band: a string of a stroke, a bass note, a drum. */
final readonly class Event
{
    /**
     * @param float      $t         seconds from bar 1 beat 1
     * @param float      $dur       seconds
     * @param ?int       $pitch     MIDI number; null for chucks
     * @param float      $velocity  0–1
     * @param ?int       $string    1 = highest
     * @param ?int       $fret      from the capo
     * @param int        $tick      of the song at which its stroke or note is written, straight
     * @param list<array{float, float}> $glide seconds from its start and semitones from its pitch, where an ornament moves it
     */
    public function __construct(
        public BandPart $part,
        public float $t,
        public float $dur,
        public ?int $pitch,
        public float $velocity,
        public EventKind $kind,
        public ?int $string = null,
        public ?int $fret = null,
        public ?Direction $direction = null,
        public array $glide = [],
        public int $tick = 0,
    ) {}
}
