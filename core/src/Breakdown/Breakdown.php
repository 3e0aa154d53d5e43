<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Band\BandException;
use Gravik\Band\Groove;
use Gravik\Band\Part;
use Gravik\Band\PartName;
use Gravik\Chart\Approach;
use Gravik\Chart\Form;
use Gravik\Chart\Pin;
use Gravik\Chart\Section;
use Gravik\Harmony\Key;
use Gravik\Neck\Company;
use Gravik\Neck\Neck;
use Gravik\Neck\PathWishes;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\School;
use Gravik\Strokes\StrokesException;
use Gravik\Time\Feel;
use Gravik\Time\Meter;
use Gravik\Time\Tempo;

/** One accompaniment feel taken apart: the document that everything else is computed from. */
final readonly class Breakdown
{
    /**
     * @param non-empty-list<Section> $sections
     * @param list<Pin>               $pins
     * @param list<Part>              $parts    at most one of each name; a part not listed plays as a plain Part does
     * @param list<Approach>          $approaches
     * @param array<int, Gate>        $gates    by stage, 1 to 10; a stage not listed has the usual one
     */
    public function __construct(
        public string $title,
        public string $genre,
        public Key $key,
        public Meter $meter,
        public Tempo $tempo,
        public Feel $feel,
        public Neck $neck,
        public Company $company,
        public array $sections,
        public array $pins,
        public Pattern $pattern,
        public School $school,
        public Groove $groove,
        public array $parts,
        public string $notes = '',
        public PathWishes $wishes = new PathWishes(),
        public array $approaches = [],
        public array $gates = [],
    ) {
        if (trim($title) === '' || mb_strlen($title) > 120) {
            throw BreakdownNotValid::title();
        }
        if (mb_strlen($genre) > 80) {
            throw BreakdownNotValid::genre();
        }
        if (count($sections) > 24) {
            throw BreakdownNotValid::sections(count($sections));
        }
        if ($wishes->strings !== '') {
            Neck::parseStrings($wishes->strings, $neck->tuning->strings());
        }
        if ($pattern->meter->text() !== $meter->text()) {
            throw StrokesException::length($pattern->ticks, $meter->barTicks());
        }
        if ($groove->meter->text() !== $meter->text()) {
            throw BandException::grooveMeter($groove->name, $groove->meter->text(), $meter->text());
        }
    }

    public function form(): Form
    {
        return Form::of($this->sections, $this->key, $this->meter);
    }

    public function gate(int $stage): Gate
    {
        return $this->gates[$stage] ?? new Gate();
    }

    public function part(PartName $name): Part
    {
        foreach ($this->parts as $part) {
            if ($part->name === $name) {
                return $part;
            }
        }

        return new Part($name);
    }

    /**
     * The same breakdown with some of its parts changed.
     *
     * @param ?non-empty-list<Section> $sections
     * @param ?list<Pin>               $pins
     * @param ?list<Approach>          $approaches
     */
    public function with(?Key $key = null, ?Meter $meter = null, ?Neck $neck = null, ?array $sections = null, ?array $pins = null, ?Pattern $pattern = null, ?Groove $groove = null, ?array $approaches = null, ?School $school = null, ?Feel $feel = null, ?Tempo $tempo = null, ?PathWishes $wishes = null): self
    {
        return new self($this->title, $this->genre, $key ?? $this->key, $meter ?? $this->meter, $tempo ?? $this->tempo, $feel ?? $this->feel, $neck ?? $this->neck, $this->company, $sections ?? $this->sections,
            $pins ?? $this->pins, $pattern ?? $this->pattern, $school ?? $this->school, $groove ?? $this->groove, $this->parts, $this->notes, $wishes ?? $this->wishes, $approaches ?? $this->approaches, $this->gates);
    }
}
