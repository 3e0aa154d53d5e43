<?php

declare(strict_types=1);

namespace Gravik\Lesson\Steps;

use Gravik\Chart\Place;
use Gravik\Performance\ChangeWindow;

/** A change of grip for which the hand has hardly time, or none, at the tempo of the song. */
final readonly class HardChange
{
    /**
     * @param Place $at        of the chord it comes to
     * @param int   $fromBar   of the song, from 0: where the old grip is struck last
     * @param int   $toBar     where the new one is struck first
     * @param int   $fitsAt    beats a minute at which the time needed is there, as far as the song's own tempo
     */
    public function __construct(
        public ChangeWindow $window,
        public Place $at,
        public int $fromBar,
        public int $toBar,
        public int $fitsAt,
    ) {}

    /** As a stage is named for it. */
    public function of(): string
    {
        return implode('/', [$this->at->section, $this->at->ending ?? '-', $this->at->bar, $this->at->tick]);
    }

    public function words(): string
    {
        [$from, $to] = [$this->window->from->chord->text(), $this->window->to->chord->text()];

        return $from === $to ? "{$from} to its place at fret {$this->window->to->position}" : "{$from} to {$to}";
    }
}
