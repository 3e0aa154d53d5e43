<?php

declare(strict_types=1);

namespace Gravik\Performance;

use Gravik\Band\BandPart;
use Gravik\Strokes\Direction;

/** One sounding thing of the band: a string of a stroke, a bass note, a drum. */
final readonly class Event
{
    private const SOFT_DRUM = 0.5;

    /** A pick never meets the strings twice alike. */
    private const TURNS = [0.0, 0.25, 0.12];

    private const TURN_TICKS = 240;

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

    /**
     * How much darker it sounds than its voice: strings by turns, so that strokes in a row are not the same, drums the more the
     * softer they are struck.
     *
     * @return float 0 to 0.5: the share of a one-pole low-pass
     */
    public function mellow(): float
    {
        return match (true) {
            $this->kind === EventKind::Drum => round(self::SOFT_DRUM * (1 - $this->velocity), 1),
            $this->part->instrument->isGuitar() => self::TURNS[intdiv($this->tick, self::TURN_TICKS) % count(self::TURNS)],
            default => 0.0,
        };
    }
}
