<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Band\BandNote;
use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Band\Role;
use Gravik\Band\Style;
use Gravik\Band\TuneOverCourse;
use Gravik\Breakdown\Failure\IdUnknown;
use Gravik\Breakdown\Internal\Cells;
use Gravik\Breakdown\Internal\SecondGuitar;
use Gravik\Breakdown\Internal\Validity;
use Gravik\Chart\Course;
use Gravik\Chart\Form;
use Gravik\Chart\FormEntry;
use Gravik\Chart\Move;
use Gravik\Chart\PlacedMove;
use Gravik\Chart\Section;
use Gravik\Chart\Setting;
use Gravik\Chart\Visit;
use Gravik\Chart\VoicingLine;
use Gravik\Neck\Neck;
use Gravik\Strokes\NamedPattern;

/**
 * One accompaniment taken apart: the document that everything else is computed from. What is pointed at has an id; what
 * may vary by place is named once and referred to; what nothing names is as above: song, section, pass, cell.
 */
final readonly class Breakdown
{
    /** How many of a kind a song may have. */
    public const MOST = [
        'sections' => 24,
        'form' => 64,
        'patterns' => 40,
        'lines' => 12,
        'parts' => 12,
        'passes' => 64,
        'cells' => 200,
        'moves' => 200,
        'placed' => 400,
        'figures' => 60,
        'played' => 400,
        'balance' => 100,
        'lesson' => 60,
        'marks' => 200,
    ];

    /**
     * @param non-empty-list<Section>      $sections
     * @param non-empty-list<FormEntry>    $form     one way through the song
     * @param non-empty-list<NamedPattern> $patterns the first is played where nothing else is named
     * @param non-empty-list<VoicingLine>  $lines    likewise
     * @param non-empty-list<BandPart>     $parts    one of them a guitar
     * @param non-empty-list<Pass>         $passes   each one time through the form
     * @param list<Cell>                   $cells    what is different in some sections of every pass
     * @param list<Move>                   $moves
     * @param list<PlacedMove>             $placed
     * @param list<Figure>                 $figures
     * @param list<PlacedFigure>           $played   figures where they are played
     * @param list<Mark>                   $marks    on values that are unsure or may be otherwise
     * @param list<BalanceNote>            $balance  what was heard of the guitar in the band, in the order it was noted
     * @param list<StageNote>              $lesson   what the teacher says of its stages, in the order in which they are to come
     *
     * @throws BreakdownNotValid with the place that is wrong
     */
    public function __construct(
        public string $title,
        public string $genre,
        public string $notes,
        public Setting $start,
        public Neck $neck,
        public array $sections,
        public array $form,
        public array $patterns,
        public array $lines,
        public array $parts,
        public array $passes,
        public array $cells = [],
        public array $moves = [],
        public array $placed = [],
        public array $lesson = [],
        public array $figures = [],
        public array $played = [],
        public array $balance = [],
        public SetUp $setUp = new SetUp(),
        public array $marks = [],
    ) {
        Validity::check($this);
    }

    public function written(): Form
    {
        return Form::of($this->sections, $this->start);
    }

    public function course(): Course
    {
        return Course::of(
            $this->sections,
            $this->start,
            $this->form,
            array_map(static fn (Pass $pass): string => $pass->id, $this->passes),
        );
    }

    /**
     * How a part plays a section, the so-manieth time it comes in a pass.
     *
     * @param ?int $bar of the section, from 0; null for what holds in all its bars
     */
    public function cellFor(string $pass, string $section, string $part, int $time = 1, ?int $bar = null): Playing
    {
        return Cells::of($this)->playing($pass, $section, $part, $time, $bar);
    }

    /**
     * How a part plays the song, bar by bar.
     *
     * @return list<Playing> one for each bar of the course
     */
    public function playings(Course $course, string $part): array
    {
        $cells = Cells::of($this);

        return array_merge([], ...array_map(
            static fn (Visit $visit): array => $cells->playings($visit->pass, $visit->section->id, $part, $visit->time, $visit->bars),
            $course->visits,
        ));
    }

    /** @return non-empty-list<VoicingLine> that may sound: those written, and that of a second guitar without one of its own */
    public function linesPlayed(): array
    {
        $strings = $this->neck->tuning->strings();
        $more = array_map(static fn (BandPart $part): ?VoicingLine => SecondGuitar::of($part)?->line($strings), $this->parts);

        return [...$this->lines, ...array_values(array_filter($more))];
    }

    /** @return array<int, list<BandNote>> what the lead plays, by bar of the song, ticks from bar 1; where it is out, nothing */
    public function tune(Course $course): array
    {
        foreach ($this->parts as $part) {
            if ($part->tune !== null) {
                $playings = $this->playings($course, $part->id);

                return array_filter(
                    TuneOverCourse::of($part->tune, $course),
                    static fn (int $bar): bool => $playings[$bar]->role !== Role::Out,
                    ARRAY_FILTER_USE_KEY,
                );
            }
        }

        return [];
    }

    /** @return list<Style> what the drums, else the bass, play belongs to: one for each bar of the course */
    public function styles(Course $course): array
    {
        $cells = Cells::of($this);

        return array_merge([], ...array_map(
            static fn (Visit $visit): array => $cells->styles($visit->pass, $visit->section->id, $visit->time, $visit->bars),
            $course->visits,
        ));
    }

    /** What a take must keep within to pass a stage: as the teacher set it, else the usual. */
    public function gate(StageKey $stage): Gate
    {
        return $this->stageNote($stage)->gate ?? new Gate();
    }

    public function stageNote(StageKey $stage): ?StageNote
    {
        return array_values(array_filter($this->lesson, static fn (StageNote $note): bool => $note->key->equals($stage)))[0] ?? null;
    }

    /** @throws BreakdownNotValid where there is none with this id */
    public function figure(string $id): Figure
    {
        return array_values(array_filter($this->figures, static fn (Figure $figure): bool => $figure->id === $id))[0]
            ?? throw new IdUnknown('/figures', $id, 'figures');
    }

    /** The part that the student plays. */
    public function guitar(): BandPart
    {
        return array_values(array_filter($this->parts, static fn (BandPart $part): bool => $part->instrument === Instrument::Guitar))[0];
    }

    /** @return non-empty-list<BandPart> the student's first */
    public function guitars(): array
    {
        $others = static fn (BandPart $part): bool => $part->instrument === Instrument::SecondGuitar;

        return [$this->guitar(), ...array_values(array_filter($this->parts, $others))];
    }

    public function withPattern(NamedPattern $changed): self
    {
        return $this->with(patterns: array_map(
            static fn (NamedPattern $each): NamedPattern => $each->id === $changed->id ? $changed : $each,
            $this->patterns,
        ));
    }

    /** With a figure more, or with another wording of one there is, wherever that is played. */
    public function withFigure(Figure $figure): self
    {
        $known = in_array($figure->id, array_map(static fn (Figure $each): string => $each->id, $this->figures), true);

        return $this->with(
            figures: $known
                ? array_map(static fn (Figure $each): Figure => $each->id === $figure->id ? $figure : $each, $this->figures)
                : [...$this->figures, $figure],
            played: array_map(
                static fn (PlacedFigure $each): PlacedFigure => $each->figure->id === $figure->id ? $each->of($figure) : $each,
                $this->played,
            ),
        );
    }

    public function withLine(VoicingLine $changed): self
    {
        return $this->with(lines: array_map(
            static fn (VoicingLine $each): VoicingLine => $each->id === $changed->id ? $changed : $each,
            $this->lines,
        ));
    }

    /**
     * The same breakdown with some of its parts changed.
     *
     * @param ?non-empty-list<Section>      $sections
     * @param ?non-empty-list<FormEntry>    $form
     * @param ?non-empty-list<NamedPattern> $patterns
     * @param ?non-empty-list<VoicingLine>  $lines
     * @param ?non-empty-list<BandPart>     $parts
     * @param ?non-empty-list<Pass>         $passes
     * @param ?list<Cell>                   $cells
     * @param ?list<Move>                   $moves
     * @param ?list<PlacedMove>             $placed
     * @param ?list<Figure>                 $figures
     * @param ?list<PlacedFigure>           $played
     * @param ?list<StageNote>              $lesson
     * @param ?list<Mark>                   $marks
     */
    public function with(
        ?Setting $start = null,
        ?Neck $neck = null,
        ?array $sections = null,
        ?array $form = null,
        ?array $patterns = null,
        ?array $lines = null,
        ?array $parts = null,
        ?array $passes = null,
        ?array $cells = null,
        ?array $moves = null,
        ?array $placed = null,
        ?array $figures = null,
        ?array $played = null,
        ?string $genre = null,
        ?array $lesson = null,
        ?array $marks = null,
    ): self {
        return new self(
            $this->title, $genre ?? $this->genre, $this->notes, $start ?? $this->start, $neck ?? $this->neck, $sections ?? $this->sections,
            $form ?? $this->form, $patterns ?? $this->patterns, $lines ?? $this->lines, $parts ?? $this->parts, $passes ?? $this->passes,
            $cells ?? $this->cells, $moves ?? $this->moves, $placed ?? $this->placed, $lesson ?? $this->lesson,
            $figures ?? $this->figures, $played ?? $this->played, $this->balance, $this->setUp, $marks ?? $this->marks,
        );
    }
}
