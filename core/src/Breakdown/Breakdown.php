<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Band\BandException;
use Gravik\Band\Groove;
use Gravik\Band\Part;
use Gravik\Band\PartName;
use Gravik\Chart\Approach;
use Gravik\Chart\Approacher;
use Gravik\Chart\ChartLine;
use Gravik\Chart\Form;
use Gravik\Chart\FormVoicer;
use Gravik\Chart\Pin;
use Gravik\Chart\Section;
use Gravik\Chart\VoicedForm;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Neck\Company;
use Gravik\Neck\HandProfile;
use Gravik\Neck\HarmonisedNote;
use Gravik\Neck\Harmoniser;
use Gravik\Neck\Neck;
use Gravik\Neck\NeckException;
use Gravik\Neck\PathFinder;
use Gravik\Neck\PathWishes;
use Gravik\Neck\Tuning;
use Gravik\Neck\TuningConverter;
use Gravik\Neck\VoicingFinder;
use Gravik\Strokes\AccentProfile;
use Gravik\Strokes\CountLine;
use Gravik\Strokes\LengthProfile;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\PatternShaper;
use Gravik\Strokes\School;
use Gravik\Strokes\StrokesException;
use Gravik\Time\Feel;
use Gravik\Time\Meter;
use Gravik\Time\Ruler;
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

    public function voicer(): FormVoicer
    {
        return new FormVoicer($this->finder(), new PathFinder($this->neck, $this->wishes));
    }

    public function finder(HandProfile $hand = new HandProfile()): VoicingFinder
    {
        $strings = $this->wishes->strings === '' ? null : Neck::parseStrings($this->wishes->strings, $this->neck->tuning->strings());

        return new VoicingFinder(new Neck($this->neck->tuning, $this->neck->capo, $strings), $this->wishes->window, $this->company, $hand);
    }

    public function voiced(): VoicedForm
    {
        return $this->voicer()->voice($this->form(), $this->pins);
    }

    public function approacher(): Approacher
    {
        return new Approacher($this->neck, $this->finder(), $this->key);
    }

    public function ruler(?Tempo $tempo = null): Ruler
    {
        return new Ruler($this->meter, $tempo ?? $this->tempo, $this->feel);
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

    /** The same breakdown with its pattern laid out anew; in another meter it takes that meter's first groove. */
    public function shaped(Meter $meter, int $bars, int $grid): self
    {
        $groove = $meter->text() === $this->meter->text() ? $this->groove : Groove::defaultFor($meter);

        return $this->with(meter: $meter, pattern: (new PatternShaper())->shaped($this->pattern, $meter, $bars, $grid), groove: $groove);
    }

    /**
     * A typed melody in double stops over the chords of the form, which share the notes of their bar evenly; over a
     * silent bar, and beyond the end, the tonic stands in.
     *
     * @param int $bar of the form that the melody begins in, from 0
     *
     * @return list<HarmonisedNote>
     *
     * @throws NeckException where the melody cannot be read, or does not lie on the neck
     */
    public function harmonised(string $melody, int $bar): array
    {
        $harmoniser = new Harmoniser($this->neck, $this->key);
        $form = $this->form();
        $tonic = ChordSymbol::parse($this->key->tonic->text());
        $line = [];
        foreach ($harmoniser->parse($melody) as $place => $notes) {
            $chords = $form->chordsOfBar($bar + $place);
            foreach ($notes as $order => $midi) {
                $line[] = [$midi, $chords === [] ? $tonic : $chords[intdiv($order * count($chords), count($notes))]];
            }
        }

        return $harmoniser->harmonise($line);
    }

    /** The same breakdown with its pattern as it is counted aloud. */
    public function counted(string $typed, int $line = 0): self
    {
        return $this->with(pattern: (new PatternShaper())->recounted($this->pattern, CountLine::parse($typed, $this->meter), $line));
    }

    /** The same breakdown with other weights and lengths laid over its pattern. */
    public function profiled(?AccentProfile $accents, ?LengthProfile $lengths): self
    {
        $pattern = $accents?->over($this->pattern) ?? $this->pattern;

        return $this->with(pattern: $lengths?->over($pattern) ?? $pattern);
    }

    /**
     * The same breakdown without one of its sections: what was held to places in later ones goes along with them, what was held to
     * this one goes.
     *
     * @param int $place from 0
     *
     * @throws BreakdownNotValid where there is no such section, or no other
     */
    public function withoutSection(int $place): self
    {
        if (! isset($this->sections[$place]) || count($this->sections) === 1) {
            throw BreakdownNotValid::noSuchSection($place + 1, count($this->sections));
        }
        $renumbered = static fn (int $section): int => $section > $place ? $section - 1 : $section;
        $sections = array_values(array_diff_key($this->sections, [$place => true]));
        $pins = array_values(array_filter($this->pins, static fn (Pin $pin): bool => $pin->section !== $place));
        $approaches = array_values(array_filter($this->approaches, static fn (Approach $approach): bool => $approach->section !== $place));

        return $sections === [] ? $this : $this->with(
            sections: $sections,
            pins: array_map(static fn (Pin $pin): Pin => $pin->inSection($renumbered($pin->section)), $pins),
            approaches: array_map(static fn (Approach $approach): Approach => $approach->inSection($renumbered($approach->section)), $approaches),
        );
    }

    /** The same breakdown with its capo elsewhere: pinned grips keep sounding as they do, where the neck lets them. */
    public function withCapo(int $capo): MovedBreakdown
    {
        $pins = [];
        $dropped = [];
        foreach ($this->pins as $pin) {
            $moved = $pin->shifted($this->neck->capo - $capo);
            $moved === null ? $dropped[] = $pin : $pins[] = $moved;
        }

        return new MovedBreakdown($this->with(neck: new Neck($this->neck->tuning, $capo), pins: $pins), $dropped);
    }

    /** The same breakdown in another tuning: every grip of its line goes over, with the same notes where a hand can hold them. */
    public function withTuning(Tuning $tuning): self
    {
        $retuned = $this->with(neck: new Neck($tuning, $this->neck->capo), pins: [], wishes: $this->wishes->onStrings($tuning->strings()));
        $converter = new TuningConverter($retuned->neck, $retuned->finder());
        $voiced = $this->voiced();
        $pins = [];
        foreach ($voiced->form->chords as $place => $chord) {
            $grip = $converter->convert($voiced->path->voicings[$place]);
            $pins[] = new Pin($chord->section, $chord->bar, $chord->at, $chord->chord->text(), $grip->frets);
        }

        return $retuned->with(pins: $pins);
    }

    /** The same breakdown in another key: typed letters move, pinned grips move the shorter way where they can. */
    public function inKey(Key $to): MovedBreakdown
    {
        $reader = new ChartLine($this->key, $this->meter);
        $sections = array_map(static fn (Section $section): Section => new Section($section->name, $reader->carriedTo($to, $section->line)), $this->sections);
        $semitones = $this->key->semitonesTo($to);
        $pins = [];
        $dropped = [];
        foreach ($this->pins as $pin) {
            $symbol = $this->key->carryChord($reader->chord($pin->symbol), $to)->text();
            $moved = $pin->movedBy($semitones, $symbol);
            $moved === null ? $dropped[] = $pin : $pins[] = $moved;
        }
        $approaches = array_map(fn (Approach $each): Approach => new Approach($each->section, $each->bar, $each->at,
            $this->key->carryChord($reader->chord($each->symbol), $to)->text(), $each->kind, $each->steps, $each->slotTicks), $this->approaches);

        return new MovedBreakdown($this->with(key: $to, sections: $sections, pins: $pins, approaches: $approaches), $dropped);
    }
}
