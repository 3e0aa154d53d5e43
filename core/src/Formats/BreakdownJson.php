<?php

declare(strict_types=1);

namespace Gravik\Formats;

use Gravik\Band\Groove;
use Gravik\Band\Part;
use Gravik\Band\PartName;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Gate;
use Gravik\Breakdown\Stage;
use Gravik\Chart\Approach;
use Gravik\Chart\ApproachKind;
use Gravik\Chart\Pin;
use Gravik\Chart\Section;
use Gravik\Formats\Internal\Fields;
use Gravik\Harmony\Key;
use Gravik\Neck\BassMotion;
use Gravik\Neck\Company;
use Gravik\Neck\FretRange;
use Gravik\Neck\Neck;
use Gravik\Neck\PathWeights;
use Gravik\Neck\PathWishes;
use Gravik\Neck\Tuning;
use Gravik\Strokes\School;
use Gravik\Time\Feel;
use Gravik\Time\FeelMode;
use Gravik\Time\Meter;
use Gravik\Time\SwingUnit;
use Gravik\Time\Tempo;

/** The breakdown document: what is saved, exported and imported. Described by resources/schema/breakdown-1.json. */
final readonly class BreakdownJson
{
    public const FORMAT = 'gravik-breakdown';

    public const VERSION = 1;

    private const FIELDS = ['format', 'version', 'title', 'genre', 'key', 'meter', 'tempo', 'feel', 'tuning', 'capo', 'company',
        'sections', 'pins', 'approaches', 'path', 'pattern', 'school', 'band', 'notes', 'gates'];

    public function __construct(private PatternJson $patterns = new PatternJson()) {}

    /** @throws DocumentNotReadable with the JSON pointer of what is wrong */
    public function parse(string $json): Breakdown
    {
        try {
            $document = json_decode($json, true, 64, JSON_THROW_ON_ERROR);
        } catch (\JsonException) {
            throw DocumentNotReadable::notJson();
        }

        return $this->read($document);
    }

    /** @throws DocumentNotReadable with the JSON pointer of what is wrong */
    public function read(mixed $document): Breakdown
    {
        if (! is_array($document) || ($document['format'] ?? null) !== self::FORMAT) {
            throw DocumentNotReadable::otherFormat();
        }
        $fields = Fields::of($document, '');
        if ($fields->int('version') !== self::VERSION) {
            throw $fields->int('version') > self::VERSION ? DocumentNotReadable::newerVersion($fields->int('version')) : DocumentNotReadable::noVersion($fields->int('version'));
        }
        $fields->only(self::FIELDS);
        $meter = $fields->build(static fn (): Meter => Meter::parse($fields->string('meter')), 'meter');
        $band = $fields->object('band')->only(['groove', 'parts']);
        $sections = $fields->list('sections', $this->section(...), 24);
        if ($sections === []) {
            throw DocumentNotReadable::at('/sections', 'a breakdown has at least one section.');
        }

        return $fields->build(fn (): Breakdown => new Breakdown(
            $fields->string('title'),
            $fields->string('genre'),
            $fields->build(static fn (): Key => Key::parse($fields->string('key')), 'key'),
            $meter,
            $fields->build(static fn (): Tempo => new Tempo($fields->number('tempo')), 'tempo'),
            $this->feel($fields->object('feel')),
            $fields->build(static fn (): Neck => new Neck(Tuning::parse($fields->string('tuning')), $fields->int('capo')), 'tuning'),
            $fields->enum('company', Company::class),
            $sections,
            $fields->list('pins', $this->pin(...), 2000),
            $this->patterns->read($fields->object('pattern'), $meter),
            $fields->enum('school', School::class),
            $band->build(static fn (): Groove => Groove::named($band->string('groove')), 'groove'),
            $band->list('parts', $this->part(...), 3),
            $fields->string('notes'),
            $fields->has('path') ? $this->wishes($fields->object('path')) : new PathWishes(),
            $fields->has('approaches') ? $fields->list('approaches', $this->approach(...), 200) : [],
            $fields->has('gates') ? array_column($fields->list('gates', $this->gate(...), count(Stage::cases())), 'gate', 'stage') : [],
        ));
    }

    /** @return array<string, mixed> */
    public function write(Breakdown $breakdown): array
    {
        return [
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'title' => $breakdown->title,
            'genre' => $breakdown->genre,
            'key' => $breakdown->key->text(),
            'meter' => $breakdown->meter->text(),
            'tempo' => self::plain($breakdown->tempo->bpm),
            'feel' => ['mode' => $breakdown->feel->mode->value, 'ratio' => self::plain($breakdown->feel->ratio), 'unit' => $breakdown->feel->unit->value],
            'tuning' => $breakdown->neck->tuning->slug,
            'capo' => $breakdown->neck->capo,
            'company' => $breakdown->company->value,
            'sections' => array_map(static fn (Section $section): array => ['name' => $section->name, 'line' => $section->line], $breakdown->sections),
            'pins' => array_map(static fn (Pin $pin): array => ['section' => $pin->section, 'bar' => $pin->bar, 'at' => $pin->at, 'symbol' => $pin->symbol, 'frets' => $pin->frets] + ($pin->linked ? ['linked' => true] : []), $breakdown->pins),
            'approaches' => array_map(static fn (Approach $each): array => ['section' => $each->section, 'bar' => $each->bar, 'at' => $each->at, 'symbol' => $each->symbol,
                'kind' => $each->kind->value, 'steps' => $each->steps, 'slotTicks' => $each->slotTicks], $breakdown->approaches),
            'path' => self::writeWishes($breakdown->wishes),
            'pattern' => $this->patterns->write($breakdown->pattern),
            'school' => $breakdown->school->value,
            'band' => [
                'groove' => $breakdown->groove->slug,
                'parts' => array_map(static fn (Part $part): array => ['name' => $part->name->value, 'level' => self::plain($part->level), 'offsetMs' => self::plain($part->offsetMs), 'straight' => $part->straight], $breakdown->parts),
            ],
            'notes' => $breakdown->notes,
        ] + ($breakdown->gates === [] ? [] : ['gates' => array_map(static fn (int $stage, Gate $gate): array => ['stage' => $stage, 'biasMs' => self::plain($gate->biasMs), 'spreadMs' => self::plain($gate->spreadMs), 'swingPoints' => self::plain($gate->swingPoints), 'missedShare' => self::plain($gate->missedShare)], array_keys($breakdown->gates), $breakdown->gates)]);
    }

    public function print(Breakdown $breakdown): string
    {
        return json_encode($this->write($breakdown), JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES)."\n";
    }

    private function section(mixed $value, string $pointer): Section
    {
        $fields = Fields::of($value, $pointer)->only(['name', 'line']);

        return $fields->build(static fn (): Section => new Section($fields->string('name'), $fields->string('line')));
    }

    private function pin(mixed $value, string $pointer): Pin
    {
        $fields = Fields::of($value, $pointer)->only(['section', 'bar', 'at', 'symbol', 'frets', 'linked']);

        return $fields->build(static fn (): Pin => new Pin($fields->int('section'), $fields->int('bar'), $fields->int('at'), $fields->string('symbol'),
            $fields->list('frets', Fields::intOrNull(...), 8), $fields->has('linked') && $fields->bool('linked')));
    }

    private function approach(mixed $value, string $pointer): Approach
    {
        $fields = Fields::of($value, $pointer)->only(['section', 'bar', 'at', 'symbol', 'kind', 'steps', 'slotTicks']);

        return $fields->build(static fn (): Approach => new Approach($fields->int('section'), $fields->int('bar'), $fields->int('at'), $fields->string('symbol'),
            $fields->enum('kind', ApproachKind::class), $fields->int('steps'), $fields->int('slotTicks')));
    }

    /** @return array{stage: int, gate: Gate} */
    private function gate(mixed $value, string $pointer): array
    {
        $fields = Fields::of($value, $pointer)->only(['stage', 'biasMs', 'spreadMs', 'swingPoints', 'missedShare']);
        $stage = $fields->int('stage');
        if (Stage::tryFrom($stage) === null) {
            throw DocumentNotReadable::at($pointer.'/stage', 'a lesson has the stages 1 to 10.');
        }

        return ['stage' => $stage, 'gate' => $fields->build(static fn (): Gate => new Gate($fields->number('biasMs'), $fields->number('spreadMs'), $fields->number('swingPoints'), $fields->number('missedShare')))];
    }

    private function part(mixed $value, string $pointer): Part
    {
        $fields = Fields::of($value, $pointer)->only(['name', 'level', 'offsetMs', 'straight']);

        return $fields->build(static fn (): Part => new Part($fields->enum('name', PartName::class), $fields->number('level'), $fields->number('offsetMs'), $fields->bool('straight')));
    }

    private function feel(Fields $fields): Feel
    {
        $fields->only(['mode', 'ratio', 'unit']);

        return $fields->build(static fn (): Feel => new Feel($fields->enum('mode', FeelMode::class), $fields->number('ratio'), $fields->enum('unit', SwingUnit::class)));
    }

    private function wishes(Fields $fields): PathWishes
    {
        $fields->only(['window', 'strings', 'keepTop', 'bass', 'parallel', 'weights', 'loop']);
        $weights = $fields->object('weights')->only(['shift', 'fingers', 'top', 'rank']);

        return $fields->build(static fn (): PathWishes => new PathWishes(
            $fields->build(static fn (): FretRange => FretRange::parse($fields->string('window')), 'window'),
            $fields->string('strings'),
            $fields->bool('keepTop'),
            $fields->enum('bass', BassMotion::class),
            $fields->bool('parallel'),
            $weights->build(static fn (): PathWeights => new PathWeights($weights->number('shift'), $weights->number('fingers'), $weights->number('top'), $weights->number('rank'))),
            $fields->has('loop') && $fields->bool('loop'),
        ));
    }

    /** @return array<string, mixed> */
    private static function writeWishes(PathWishes $wishes): array
    {
        return [
            'window' => $wishes->window->lowest.'-'.$wishes->window->highest,
            'strings' => $wishes->strings,
            'keepTop' => $wishes->keepTop,
            'bass' => $wishes->bass->value,
            'parallel' => $wishes->parallel,
            'weights' => array_map(self::plain(...), ['shift' => $wishes->weights->shift, 'fingers' => $wishes->weights->fingers, 'top' => $wishes->weights->top, 'rank' => $wishes->weights->rank]),
        ] + ($wishes->loop ? ['loop' => true] : []);
    }

    /** Whole numbers are written without a fraction, so that what was read is written back to the letter. */
    private static function plain(float $number): int|float
    {
        return floor($number) === $number ? (int) $number : $number;
    }
}
