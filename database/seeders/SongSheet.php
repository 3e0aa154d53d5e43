<?php

declare(strict_types=1);

namespace Database\Seeders;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Change\FigureKeeper;
use Gravik\Breakdown\Change\FigurePlacer;
use Gravik\Breakdown\Change\LibraryFigurePlacer;
use Gravik\Breakdown\Desk;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Breakdown\RelativeTo;
use Gravik\Breakdown\TypedFigure;
use Gravik\Chart\Place;
use Gravik\Formats\BreakdownJson;
use Gravik\Formats\PatternJson;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Strokes\Action;
use Gravik\Strokes\PlayedBy;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;
use Gravik\Strokes\Written\FigureLine;
use Gravik\Strokes\Zone;
use Gravik\Time\Meter;

/** A song of the demo data as a teacher would say it, one line a thing. */
final class SongSheet
{
    private string $notes = '';

    private string $groove = '';

    /** @var array<string, list<mixed>> lists of the document */
    private array $lists = ['sections' => [], 'form' => [], 'patterns' => [], 'lines' => [], 'passes' => [], 'lesson' => [], 'parts' => []];

    /** @var list<array{string, string, non-empty-list<string>, string}> id, name, lines typed, chord under it */
    private array $figures = [];

    /** @var list<array{string, Place, ?list<string>}> figure, place, passes */
    private array $played = [];

    public function __construct(
        private readonly string $title,
        private readonly string $genre,
        private readonly string $key,
        private readonly string $meter,
        private readonly int $tempo,
        private readonly float $ratio = 1,
        private readonly string $tuning = 'standard',
    ) {}

    public function says(string $notes): self
    {
        $this->notes = $notes;

        return $this;
    }

    /** @param array<string, mixed> $more of the section as it is in a document */
    public function section(string $id, string $name, string $line, array $more = []): self
    {
        return $this->add('sections', ['id' => $id, 'name' => $name, 'line' => $line] + $more);
    }

    /** @param array{string, int} ...$way section and how often, in order; each section once where nothing is said */
    public function form(array ...$way): self
    {
        foreach ($way as [$section, $times]) {
            $this->add('form', ['section' => $section, 'times' => $times]);
        }

        return $this;
    }

    /** @param string|non-empty-list<string> $counted one line a stream */
    public function pattern(string $id, string $name, string|array $counted, string $school = 'pendulum'): self
    {
        $pattern = FigureLine::parse((array) $counted, Meter::parse($this->meter))->pattern;

        return $this->add('patterns', ['id' => $id, 'name' => $name, 'meter' => $this->meter, 'school' => $school]
            + (new PatternJson())->write($pattern));
    }

    /** Two lines: the thumb on the lowest string, the fingers on the high ones. */
    public function thumbAndFingers(string $id, string $name, string $thumb, string $fingers): self
    {
        $struck = static fn (Stream $stream, string $called, Zone $zone, PlayedBy $by): Stream => new Stream($called, array_map(
            static fn (Stroke $stroke): Stroke => $stroke->striking($zone, Action::Pick, $by),
            $stream->strokes,
        ));
        $pattern = FigureLine::parse([$thumb, $fingers], Meter::parse($this->meter))->pattern;
        $pattern = $pattern->withStreams([
            $struck($pattern->streams[0], 'thumb', Zone::Bass, PlayedBy::Thumb),
            $struck($pattern->streams[1], 'fingers', Zone::High, PlayedBy::Fingers),
        ]);

        return $this->add('patterns', ['id' => $id, 'name' => $name, 'meter' => $this->meter, 'school' => 'thumb-fingers']
            + (new PatternJson())->write($pattern));
    }

    /** @param string $window lowest and highest fret of the hand */
    public function line(string $id, string $name, string $window, string $company = 'with-bass'): self
    {
        return $this->add('lines', ['id' => $id, 'name' => $name, 'company' => $company, 'pins' => [], 'wishes' => [
            'window' => $window, 'strings' => '', 'keepTop' => false, 'bass' => 'free', 'parallel' => false,
            'weights' => ['shift' => 2, 'fingers' => 0.3, 'top' => 0.15, 'rank' => 1],
        ]]);
    }

    /** @param non-empty-list<string> $typed one line a stream */
    public function figure(string $id, string $name, array $typed, string $over): self
    {
        $this->figures[] = [$id, $name, $typed, $over];

        return $this;
    }

    /**
     * @param array<string, mixed>       $all  what the guitar does in the whole pass
     * @param list<array<string, mixed>> $some what it does in places of it
     */
    public function pass(string $lead, array $all = [], array $some = []): self
    {
        $cells = array_map(static fn (array $cell): array => ['part' => 'guitar'] + $cell, [...($all === [] ? [] : [$all]), ...$some]);

        return $this->add('passes', ['id' => (string) (count($this->lists['passes']) + 1), 'name' => '', 'notes' => '', 'lead' => $lead,
            'cells' => $cells]);
    }

    /** @param ?list<string> $passes ids; all where nothing is said */
    public function plays(string $figure, string $section, int $bar, ?array $passes = null): self
    {
        $this->played[] = [$figure, new Place($section, null, $bar, 0), $passes];

        return $this;
    }

    /**
     * Somebody more in the band.
     *
     * @param array<string, mixed> $told of the part as it is in a document
     * @param list<string>         $roles one for each pass there is
     */
    public function joined(string $instrument, array $told, array $roles = []): self
    {
        $this->lists['passes'] = array_map(
            static fn (mixed $pass, ?string $role): mixed => is_array($pass) && is_array($pass['cells']) && $role !== null
                ? ['cells' => [...$pass['cells'], ['part' => $instrument, 'role' => $role]]] + $pass
                : $pass,
            $this->lists['passes'],
            array_pad($roles, count($this->lists['passes']), null),
        );

        return $this->add('parts', ['id' => $instrument, 'instrument' => $instrument, 'offsetMs' => 0, 'straight' => false] + $told);
    }

    public function band(string $groove): self
    {
        $this->groove = $groove;

        return $this;
    }

    /** @param array<string, float> $spreads ms, by stage */
    public function gates(array $spreads): self
    {
        foreach ($spreads as $stage => $ms) {
            $this->add(
                'lesson',
                ['stage' => $stage, 'gate' => ['biasMs' => 15, 'spreadMs' => $ms, 'swingPoints' => 4, 'missedShare' => 0.03]],
            );
        }

        return $this;
    }

    /** @param ?string $turnaround of the library, under the last bars of the last pass */
    public function breakdown(?string $turnaround = null): Breakdown
    {
        $breakdown = (new BreakdownJson())->read($this->document());
        $key = Key::parse($this->key);
        $figures = [];
        foreach ($this->figures as [$id, $name, $typed, $over]) {
            $figures[$id] = TypedFigure::read(
                $id,
                $name,
                $typed,
                Meter::parse($this->meter),
                ChordSymbol::parse($over),
                $key,
                RelativeTo::Chord,
            );
            $breakdown = (new FigureKeeper())->keep($breakdown, $figures[$id]);
        }
        foreach ($this->played as [$id, $at, $passes]) {
            $breakdown = (new FigurePlacer())->place($breakdown, new PlacedFigure($figures[$id], $at, $passes));
        }
        $last = $breakdown->passes[count($breakdown->passes) - 1]->id;

        return $turnaround === null
            ? $breakdown
            : (new LibraryFigurePlacer())->place(Desk::of($breakdown, $last), $turnaround, inPass: true);
    }

    /** @return array<string, mixed> */
    private function document(): array
    {
        $form = array_map(static fn (array $section): array => ['section' => $section['id'], 'times' => 1], $this->lists['sections']);

        return [
            'format' => BreakdownJson::FORMAT,
            'version' => BreakdownJson::VERSION,
            'title' => $this->title,
            'genre' => $this->genre,
            'notes' => $this->notes,
            'start' => ['key' => $this->key, 'meter' => $this->meter, 'tempo' => $this->tempo,
                'feel' => ['mode' => 'fixed', 'ratio' => $this->ratio, 'unit' => 'eighth']],
            'guitar' => ['tuning' => $this->tuning, 'capo' => 0],
            'moves' => [],
            'placed' => [],
            'cells' => [],
            'parts' => [$this->part('drums', 0.45), $this->part('bass', 0.55), $this->part('guitar', 0.6), ...$this->lists['parts']],
        ] + array_replace($this->lists, $this->lists['form'] === [] ? ['form' => $form] : []);
    }

    /** @return array<string, mixed> */
    private function part(string $instrument, float $level): array
    {
        return ['id' => $instrument, 'instrument' => $instrument, 'level' => $level, 'offsetMs' => 0, 'straight' => false]
            + ($instrument === 'guitar' ? [] : ['groove' => $this->groove]);
    }

    private function add(string $list, mixed $entry): self
    {
        $this->lists[$list][] = $entry;

        return $this;
    }
}
