<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Breakdown\Failure\FigureNotPossible;
use Gravik\Chart\Place;
use Gravik\Chart\Visit;

/** A figure at a place of the song, in all passes or some. */
final readonly class PlacedFigure
{
    /**
     * @param ?list<string> $passes  ids of those it is played in; null for all
     * @param ?list<int>    $times   of the section in a pass, from 1; null for all
     * @param bool          $instead of the strokes there; else over them
     * @param int           $octave  up or down from where it lies nearest to the hand, −2 to 2
     * @param ?int          $near    fret at which the hand is to be; null where the grip is
     */
    public function __construct(
        public Figure $figure,
        public Place $at,
        public ?array $passes = null,
        public ?array $times = null,
        public bool $instead = true,
        public int $octave = 0,
        public ?int $near = null,
    ) {
        if (abs($octave) > 2 || ($near !== null && ($near < 0 || $near > 20))) {
            throw new FigureNotPossible('is moved by at most two octaves, to a hand at fret 0 to 20');
        }
    }

    public function at(Place $place): self
    {
        return new self($this->figure, $place, $this->passes, $this->times, $this->instead, $this->octave, $this->near);
    }

    public function of(Figure $figure): self
    {
        return new self($figure, $this->at, $this->passes, $this->times, $this->instead, $this->octave, $this->near);
    }

    /** @param list<string> $passes */
    public function in(array $passes): self
    {
        return new self($this->figure, $this->at, $passes, $this->times, $this->instead, $this->octave, $this->near);
    }

    public function isPlayedIn(Visit $visit): bool
    {
        return $visit->section->id === $this->at->section
            && ($this->passes === null || in_array($visit->pass, $this->passes, true))
            && ($this->times === null || in_array($visit->time, $this->times, true));
    }
}
