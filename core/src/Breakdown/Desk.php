<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Breakdown\Failure\PassUnknown;
use Gravik\Breakdown\Failure\SectionUnknown;
use Gravik\Chart\FormChord;
use Gravik\Chart\Place;
use Gravik\Chart\Section;
use Gravik\Chart\Setting;
use Gravik\Chart\VoicedForm;
use Gravik\Chart\VoicingLine;
use Gravik\Neck\Grip\Voicing;
use Gravik\Strokes\NamedPattern;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\School;
use Gravik\Time\Feel;
use Gravik\Time\Ruler;
use Gravik\Time\Tempo;

/** One place of the song that is being worked at: a section of a pass, with the guitar's pattern and line of grips there. */
final readonly class Desk
{
    /** @param string $pass id */
    private function __construct(
        public Breakdown $breakdown,
        public string $pass,
        public Section $section,
        public Setting $setting,
        private Playing $playing,
        private Arrangement $arrangement,
        private ?Figure $figure = null,
    ) {}

    /**
     * @param ?string $pass    id; the first where null
     * @param ?string $section id; the first where null
     *
     * @throws BreakdownNotValid where there is no such pass or section
     */
    public static function of(
        Breakdown $breakdown,
        ?string $pass = null,
        ?string $section = null,
        Arrangement $arrangement = Arrangement::WithBand,
    ): self {
        $pass ??= $breakdown->passes[0]->id;
        if (array_filter($breakdown->passes, static fn (Pass $each): bool => $each->id === $pass) === []) {
            throw new PassUnknown($pass);
        }
        $section ??= $breakdown->sections[0]->id;
        $found = array_values(array_filter($breakdown->sections, static fn (Section $each): bool => $each->id === $section))[0]
            ?? throw new SectionUnknown($section);

        $playing = $breakdown->cellFor($pass, $section, $breakdown->guitar()->id);

        return new self(
            $breakdown,
            $pass,
            $found,
            $found->setting($breakdown->start),
            $playing->over($arrangement->pattern($breakdown, $playing->pattern), $arrangement->line($breakdown, $playing->line)),
            $arrangement,
        );
    }

    /**
     * The same place with the strokes of a figure in place of the pattern's; a figure is struck like a pendulum.
     *
     * @throws BreakdownNotValid where there is no such figure
     */
    public function atFigure(string $id): self
    {
        $figure = $this->breakdown->figure($id);

        return new self($this->breakdown, $this->pass, $this->section, $this->setting, $this->playing, $this->arrangement, $figure);
    }

    public function named(): NamedPattern
    {
        return $this->figure === null
            ? $this->playing->pattern
            : new NamedPattern($this->figure->id, $this->figure->name, $this->figure->pattern, School::Pendulum);
    }

    public function pattern(): Pattern
    {
        return $this->named()->pattern;
    }

    public function school(): School
    {
        return $this->named()->school;
    }

    public function line(): VoicingLine
    {
        return $this->playing->line;
    }

    /** @return ?FormChord the chord that is written at a place, or goes on there; null where nothing sounds */
    public function chordAt(Place $place): ?FormChord
    {
        $found = null;
        foreach ($this->breakdown->written()->chords as $chord) {
            $inBar = [$chord->at->section, $chord->at->ending, $chord->at->bar] === [$place->section, $place->ending, $place->bar];
            $found = $inBar && $chord->at->tick <= $place->tick && $place->tick < $chord->at->tick + $chord->ticks ? $chord : $found;
        }

        return $found;
    }

    /**
     * The grip of a place; null where nothing sounds.
     *
     * @param VoicedForm $voiced the grips of its line
     */
    public function gripAt(Place $place, VoicedForm $voiced): ?Voicing
    {
        $here = $this->chordAt($place);
        foreach ($voiced->form->chords as $number => $chord) {
            if ($here !== null && $chord->at->equals($here->at)) {
                return $voiced->path->voicings[$number];
            }
        }

        return null;
    }

    public function tools(): Toolbox
    {
        return Toolbox::of($this->breakdown, $this->line());
    }

    /** @param ?Tempo $practice that the song's own tempo becomes */
    public function ruler(?Tempo $practice = null): Ruler
    {
        $tempo = $this->breakdown->start->tempo;

        return $this->setting->scaled($tempo, $practice ?? $tempo)->ruler();
    }

    /** The same place of the breakdown as it became. */
    public function in(Breakdown $changed): self
    {
        $same = self::of($changed, $this->pass, $this->section->id, $this->arrangement);

        return $this->figure === null ? $same : $same->atFigure($this->figure->id);
    }

    /** The breakdown with another feel here: the section's own where it has one, else the song's. */
    public function withFeel(Feel $feel): Breakdown
    {
        return $this->section->feel === null
            ? $this->breakdown->with(start: $this->breakdown->start->with(feel: $feel))
            : $this->breakdown->with(sections: array_map(
                fn (Section $each): Section => $each->id === $this->section->id ? $each->with(feel: $feel) : $each,
                $this->breakdown->sections,
            ));
    }

    /** The breakdown with this place's strokes changed, wherever they are played. */
    public function with(?Pattern $pattern = null, ?School $school = null): Breakdown
    {
        return $this->figure === null
            ? $this->breakdown->withPattern($this->playing->pattern->with($pattern, $school))
            : $this->breakdown->withFigure($this->figure->restruck($pattern ?? $this->figure->pattern));
    }
}
