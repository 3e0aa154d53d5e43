<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Breakdown\Failure\FigureNotPossible;
use Gravik\Chart\Course;
use Gravik\Chart\CourseBar;
use Gravik\Chart\Place;
use Gravik\Chart\Visit;

/** A figure at a place of the song, in all passes or some. */
final readonly class PlacedFigure
{
    /**
     * @param ?list<string>   $passes  ids of those it is played in; null for all
     * @param ?list<int>      $times   of the section in a pass, from 1; null for all
     * @param bool            $instead of the strokes there; else over them
     * @param int             $octave  up or down from where it lies nearest to the hand, −2 to 2
     * @param ?int            $near    fret at which the hand is to be; null where the grip is
     * @param list<FixedNote> $fixed   notes whose place the teacher chose
     * @param ?list<string>   $parts   ids of those who play it; null for the student's guitar alone
     */
    public function __construct(
        public Figure $figure,
        public Place $at,
        public ?array $passes = null,
        public ?array $times = null,
        public bool $instead = true,
        public int $octave = 0,
        public ?int $near = null,
        public array $fixed = [],
        public ?array $parts = null,
    ) {
        if (abs($octave) > 2 || ($near !== null && ($near < 0 || $near > 20))) {
            throw new FigureNotPossible('is moved by at most two octaves, to a hand at fret 0 to 20');
        }
        foreach ($fixed as $number => $each) {
            if (! $figure->has($each)) {
                throw new FigureNotPossible('has a place fixed only for notes of its own');
            }
            foreach (array_slice($fixed, 0, $number) as $other) {
                if ([$each->stream, $each->tick] === [$other->stream, $other->tick] && in_array(true, [
                    $each->note === $other->note, $each->string === $other->string,
                ], true)) {
                    throw new FigureNotPossible('has each note of a stroke fixed once, on a string of its own');
                }
            }
        }
    }

    public function at(Place $place): self
    {
        return $this->with(at: $place);
    }

    /** The same place with a figure in another wording; notes that it has not any more are not fixed either. */
    public function of(Figure $figure): self
    {
        return $this->with(figure: $figure, fixed: array_values(array_filter($this->fixed, $figure->has(...))));
    }

    /** @param list<string> $passes */
    public function in(array $passes): self
    {
        return $this->with(passes: $passes);
    }

    /** With its fixed notes so many frets higher on their strings; those beyond the neck lie where the rule puts them. */
    public function shifted(int $frets): self
    {
        return $this->with(fixed: array_values(array_filter(array_map(
            static fn (FixedNote $each): ?FixedNote => $each->shifted($frets),
            $this->fixed,
        ))));
    }

    public function unfixed(): self
    {
        return $this->with(fixed: []);
    }

    /** Whether the grip of its place is held under it: it goes over the strokes there, or one of its lines strikes the grip. */
    public function holdsTheGrip(): bool
    {
        $onGrip = array_filter(
            array_keys($this->figure->pattern->streams),
            fn (int $line): bool => ($this->figure->notes[$line] ?? []) === [],
        );

        return ! $this->instead || (count($this->figure->pattern->streams) > 1 && $onGrip !== []);
    }

    public function isPlayedBy(BandPart $part): bool
    {
        return $this->parts === null ? $part->instrument === Instrument::Guitar : in_array($part->id, $this->parts, true);
    }

    /** Without a part that left; null where nobody else plays it. */
    public function withoutPart(string $part): ?self
    {
        $left = $this->parts === null ? null : array_values(array_diff($this->parts, [$part]));

        return $left === [] ? null : new self(
            $this->figure, $this->at, $this->passes, $this->times, $this->instead, $this->octave, $this->near, $this->fixed, $left,
        );
    }

    /** Whether it begins in a bar of the song. */
    public function beginsIn(Course $course, CourseBar $bar): bool
    {
        $written = $course->form->bars[$bar->written];

        return $written->inSection === $this->at->bar && $written->section === $this->at->section
            && $written->ending === $this->at->ending && $this->isPlayedIn($course->visits[$bar->visit]);
    }

    public function isPlayedIn(Visit $visit): bool
    {
        return $visit->section->id === $this->at->section
            && ($this->passes === null || in_array($visit->pass, $this->passes, true))
            && ($this->times === null || in_array($visit->time, $this->times, true));
    }

    /**
     * @param ?list<string>    $passes
     * @param ?list<FixedNote> $fixed
     */
    private function with(?Figure $figure = null, ?Place $at = null, ?array $passes = null, ?array $fixed = null): self
    {
        return new self(
            $figure ?? $this->figure,
            $at ?? $this->at,
            $passes ?? $this->passes,
            $this->times,
            $this->instead,
            $this->octave,
            $this->near,
            $fixed ?? $this->fixed,
            $this->parts,
        );
    }
}
