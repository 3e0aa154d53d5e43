<?php

declare(strict_types=1);

namespace Gravik\Formats;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Figure;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Breakdown\SetUp;
use Gravik\Chart\FormEntry;
use Gravik\Chart\Move;
use Gravik\Chart\Pin;
use Gravik\Chart\Place;
use Gravik\Chart\PlacedMove;
use Gravik\Formats\Failure\FormatUnknown;
use Gravik\Formats\Failure\NotJson;
use Gravik\Formats\Failure\VersionNotPossible;
use Gravik\Formats\Failure\VersionTooNew;
use Gravik\Formats\Internal\BandJson;
use Gravik\Formats\Internal\Fields;
use Gravik\Formats\Internal\FigureJson;
use Gravik\Formats\Internal\LessonJson;
use Gravik\Formats\Internal\LinesJson;
use Gravik\Formats\Internal\MarksJson;
use Gravik\Formats\Internal\SongJson;
use Gravik\Neck\Neck;
use Gravik\Neck\Tuning;

/** The breakdown document: what is saved, exported and imported. Described by resources/schema/breakdown-2.json. */
final readonly class BreakdownJson
{
    public const FORMAT = 'gravik-breakdown';

    public const VERSION = 2;

    private const FIELDS = ['format', 'version', 'title', 'genre', 'notes', 'start', 'guitar', 'sections', 'form', 'patterns', 'lines',
        'moves', 'figures', 'placed', 'parts', 'passes', 'cells', 'lesson', 'balance', 'marks'];

    public function __construct(
        private PatternJson $patterns = new PatternJson(),
        private Upgrade $upgrade = new Upgrade(),
        private SongJson $song = new SongJson(),
        private LinesJson $lines = new LinesJson(),
        private BandJson $band = new BandJson(),
        private FigureJson $figures = new FigureJson(),
        private LessonJson $lesson = new LessonJson(),
        private MarksJson $marks = new MarksJson(),
    ) {}

    /** @throws DocumentNotReadable with the JSON pointer of what is wrong */
    public function parse(string $json): Breakdown
    {
        try {
            $document = json_decode($json, true, 64, JSON_THROW_ON_ERROR);
        } catch (\JsonException) {
            throw new NotJson();
        }

        return $this->read($document);
    }

    /**
     * Reads a document of this version or an older one.
     *
     * @throws DocumentNotReadable with the JSON pointer of what is wrong, into the document as it was given
     */
    public function read(mixed $document): Breakdown
    {
        if (! is_array($document) || ($document['format'] ?? null) !== self::FORMAT) {
            throw new FormatUnknown();
        }
        $version = Fields::of($document, '')->int('version');
        if ($version > self::VERSION) {
            throw new VersionTooNew($version, self::VERSION);
        }
        if ($version < 1) {
            throw new VersionNotPossible($version);
        }

        try {
            return $this->current(Fields::of($this->upgrade->toCurrent($document, $version), ''));
        } catch (DocumentNotReadable $problem) {
            throw $problem->before($this->upgrade->pointerBefore($problem->pointer, $version));
        }
    }

    /** @return array<string, mixed> */
    public function write(Breakdown $breakdown): array
    {
        return [
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'title' => $breakdown->title,
            'genre' => $breakdown->genre,
            'notes' => $breakdown->notes,
            'start' => $this->song->writeStart($breakdown->start),
            'guitar' => self::writeGuitar($breakdown),
            'sections' => array_map($this->song->writeSection(...), $breakdown->sections),
            'form' => array_map(
                static fn (FormEntry $entry): array => ['section' => $entry->section, 'times' => $entry->times]
                    + ($entry->passes === null ? [] : ['passes' => $entry->passes]),
                $breakdown->form,
            ),
            'patterns' => array_map($this->patterns->writeNamed(...), $breakdown->patterns),
            'lines' => array_map($this->lines->writeLine(...), $breakdown->lines),
            'moves' => array_map($this->lines->writeMove(...), $breakdown->moves),
            'figures' => array_map($this->figures->writeFigure(...), $breakdown->figures),
            'placed' => [
                ...array_map($this->lines->writePlaced(...), $breakdown->placed),
                ...array_map($this->figures->writePlaced(...), $breakdown->played),
            ],
            'parts' => array_map($this->band->writePart(...), $breakdown->parts),
            'passes' => array_map($this->band->writePass(...), $breakdown->passes),
            'cells' => array_map($this->band->writeCell(...), $breakdown->cells),
            'lesson' => array_map($this->lesson->write(...), $breakdown->lesson),
        ] + ($breakdown->balance === [] ? [] : ['balance' => array_map($this->band->writeBalance(...), $breakdown->balance)])
            + ($breakdown->marks === [] ? [] : ['marks' => array_map($this->marks->write(...), $breakdown->marks)]);
    }

    public function print(Breakdown $breakdown): string
    {
        return json_encode(
            $this->write($breakdown),
            JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        )."\n";
    }

    /** @return array{section: string, ending: ?int, bar: int, tick: int} a place as documents write it */
    public static function place(Place $place): array
    {
        return LinesJson::writePlace($place);
    }

    /** @return array<string, mixed> a pin as documents write it */
    public static function pin(Pin $pin): array
    {
        return LinesJson::writePin($pin);
    }

    private function current(Fields $fields): Breakdown
    {
        $fields->only(self::FIELDS);
        $start = $this->song->start($fields->object('start'));
        $guitar = $fields->object('guitar')->only(['tuning', 'capo', 'setUp', 'recordedIn']);
        $moves = $fields->list('moves', $this->lines->move(...), Breakdown::MOST['moves']);
        $figures = $fields->has('figures') ? $fields->list('figures', $this->figures->figure(...), Breakdown::MOST['figures']) : [];
        $byId = array_diff_key(
            array_column(array_map(static fn (Figure $figure): array => [$figure->id, $figure], $figures), 1, 0),
            array_flip(array_map(static fn (Move $move): string => $move->id, $moves)),
        );
        $placed = $fields->list('placed', function (mixed $value, string $pointer) use ($moves, $byId): PlacedMove|PlacedFigure {
            $each = Fields::of($value, $pointer);
            $figure = $byId[$each->string('what')] ?? null;

            return $figure === null ? $this->lines->placed($value, $pointer, $moves) : $this->figures->placed($figure, $each);
        }, Breakdown::MOST['placed']);

        return $fields->build(fn (): Breakdown => new Breakdown(
            $fields->string('title'),
            $fields->string('genre'),
            $fields->string('notes'),
            $start,
            $guitar->build(static fn (): Neck => new Neck(Tuning::parse($guitar->string('tuning')), $guitar->int('capo')), 'tuning'),
            $fields->some('sections', $this->song->section(...), Breakdown::MOST['sections']),
            $fields->some('form', $this->song->entry(...), Breakdown::MOST['form']),
            $fields->some('patterns', $this->patterns->named(...), Breakdown::MOST['patterns']),
            $fields->some('lines', $this->lines->line(...), Breakdown::MOST['lines']),
            $fields->some('parts', $this->band->part(...), Breakdown::MOST['parts']),
            $fields->some('passes', $this->band->pass(...), Breakdown::MOST['passes']),
            $fields->list('cells', $this->band->cell(...), Breakdown::MOST['cells']),
            $moves,
            array_values(array_filter($placed, static fn (PlacedMove|PlacedFigure $each): bool => $each instanceof PlacedMove)),
            $fields->list('lesson', $this->lesson->read(...), Breakdown::MOST['lesson']),
            $figures,
            array_values(array_filter($placed, static fn (PlacedMove|PlacedFigure $each): bool => $each instanceof PlacedFigure)),
            $fields->has('balance') ? $fields->list('balance', $this->band->balance(...), Breakdown::MOST['balance']) : [],
            self::setUp($guitar),
            $fields->has('marks') ? $fields->list('marks', $this->marks->read(...), Breakdown::MOST['marks']) : [],
        ));
    }

    private static function setUp(Fields $guitar): SetUp
    {
        $recordedIn = $guitar->has('recordedIn')
            ? $guitar->build(static fn (): Tuning => Tuning::parse($guitar->string('recordedIn')), 'recordedIn')
            : null;

        return $guitar->build(static fn (): SetUp => new SetUp($guitar->has('setUp') ? $guitar->string('setUp') : '', $recordedIn));
    }

    /** @return array<string, mixed> */
    private static function writeGuitar(Breakdown $breakdown): array
    {
        return array_filter([
            'tuning' => $breakdown->neck->tuning->slug,
            'capo' => $breakdown->neck->capo,
            'setUp' => $breakdown->setUp->line === '' ? null : $breakdown->setUp->line,
            'recordedIn' => $breakdown->setUp->recordedIn?->slug,
        ], static fn (mixed $told): bool => $told !== null);
    }
}
