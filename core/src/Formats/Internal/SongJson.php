<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal;

use Gravik\Breakdown\Breakdown;
use Gravik\Chart\Dynamic;
use Gravik\Chart\Ending;
use Gravik\Chart\FormEntry;
use Gravik\Chart\Place;
use Gravik\Chart\Section;
use Gravik\Chart\Setting;
use Gravik\Chart\SungWords;
use Gravik\Harmony\Key;
use Gravik\Time\Feel;
use Gravik\Time\FeelMode;
use Gravik\Time\Meter;
use Gravik\Time\SwingUnit;
use Gravik\Time\Tempo;

/**
 * The song of a document: what it begins in, its sections, its form, and places in it.
 *
 * @internal used by BreakdownJson
 */
final readonly class SongJson
{
    public function start(Fields $fields): Setting
    {
        $fields->only(['key', 'meter', 'tempo', 'feel']);

        return new Setting(self::key($fields), self::meter($fields), self::tempo($fields), self::feel($fields->object('feel')));
    }

    /** @return array<string, mixed> */
    public function writeStart(Setting $start): array
    {
        return [
            'key' => $start->key->text(),
            'meter' => $start->meter->text(),
            'tempo' => Plain::number($start->tempo->bpm),
            'feel' => self::writeFeel($start->feel),
        ];
    }

    public function section(mixed $value, string $pointer): Section
    {
        $fields = Fields::of($value, $pointer)->only(['id', 'name', 'line', 'from', 'endings', 'dynamics', 'words']);
        $own = $fields->has('from') ? $fields->object('from')->only(['key', 'meter', 'tempo', 'feel']) : null;

        return $fields->build(fn (): Section => new Section(
            $fields->string('id'),
            $fields->string('name'),
            $fields->string('line'),
            $own?->has('key') === true ? self::key($own) : null,
            $own?->has('meter') === true ? self::meter($own) : null,
            $own?->has('tempo') === true ? self::tempo($own) : null,
            $own?->has('feel') === true ? self::feel($own->object('feel')) : null,
            $fields->has('endings') ? $fields->list('endings', $this->ending(...), 8) : [],
            $fields->has('dynamics') ? $fields->list('dynamics', $this->dynamic(...), 100) : [],
            $fields->has('words') ? $fields->list('words', $this->words(...), 100) : [],
        ));
    }

    /** @return array<string, mixed> */
    public function writeSection(Section $section): array
    {
        $own = array_filter([
            'key' => $section->key?->text(),
            'meter' => $section->meter?->text(),
            'tempo' => $section->tempo === null ? null : Plain::number($section->tempo->bpm),
            'feel' => $section->feel === null ? null : self::writeFeel($section->feel),
        ], static fn (mixed $value): bool => $value !== null);

        return ['id' => $section->id, 'name' => $section->name, 'line' => $section->line] + ($own === [] ? [] : ['from' => $own])
            + ($section->endings === [] ? [] : ['endings' => array_map(
                static fn (Ending $ending): array => ['times' => $ending->times, 'line' => $ending->line]
                    + ($ending->passes === [] ? [] : ['passes' => $ending->passes]),
                $section->endings,
            )])
            + ($section->dynamics === [] ? [] : ['dynamics' => array_map(
                static fn (Dynamic $mark): array => ['bar' => $mark->bar, 'level' => $mark->level] + ($mark->grows ? ['grows' => true] : []),
                $section->dynamics,
            )])
            + ($section->words === [] ? [] : ['words' => array_map(
                static fn (SungWords $words): array => ['bar' => $words->bar, 'text' => $words->text],
                $section->words,
            )]);
    }

    public function entry(mixed $value, string $pointer): FormEntry
    {
        $fields = Fields::of($value, $pointer)->only(['section', 'times', 'passes']);

        return $fields->build(static fn (): FormEntry => new FormEntry(
            $fields->string('section'),
            $fields->int('times'),
            $fields->has('passes') ? $fields->list('passes', Fields::stringIn(...), Breakdown::MOST['passes']) : null,
        ));
    }

    public function place(Fields $fields): Place
    {
        $fields->only(['section', 'ending', 'bar', 'tick']);

        return $fields->build(static fn (): Place => new Place(
            $fields->string('section'),
            $fields->has('ending') ? $fields->int('ending') : null,
            $fields->int('bar'),
            $fields->int('tick'),
        ));
    }

    private function ending(mixed $value, string $pointer): Ending
    {
        $fields = Fields::of($value, $pointer)->only(['times', 'line', 'passes']);

        return $fields->build(static fn (): Ending => new Ending(
            $fields->has('times') ? $fields->list('times', Fields::intIn(...), FormEntry::MOST_TIMES) : [],
            $fields->string('line'),
            $fields->has('passes') ? $fields->list('passes', Fields::stringIn(...), Breakdown::MOST['passes']) : [],
        ));
    }

    private function dynamic(mixed $value, string $pointer): Dynamic
    {
        $fields = Fields::of($value, $pointer)->only(['bar', 'level', 'grows']);

        return $fields->build(static fn (): Dynamic => new Dynamic(
            $fields->int('bar'),
            $fields->int('level'),
            $fields->has('grows') && $fields->bool('grows'),
        ));
    }

    private function words(mixed $value, string $pointer): SungWords
    {
        $fields = Fields::of($value, $pointer)->only(['bar', 'text']);

        return $fields->build(static fn (): SungWords => new SungWords($fields->int('bar'), $fields->string('text')));
    }

    private static function key(Fields $fields): Key
    {
        return $fields->build(static fn (): Key => Key::parse($fields->string('key')), 'key');
    }

    private static function meter(Fields $fields): Meter
    {
        return $fields->build(static fn (): Meter => Meter::parse($fields->string('meter')), 'meter');
    }

    private static function tempo(Fields $fields): Tempo
    {
        return $fields->build(static fn (): Tempo => new Tempo($fields->number('tempo')), 'tempo');
    }

    private static function feel(Fields $fields): Feel
    {
        $fields->only(['mode', 'ratio', 'unit']);

        return $fields->build(static fn (): Feel => new Feel(
            $fields->enum('mode', FeelMode::class),
            $fields->number('ratio'),
            $fields->enum('unit', SwingUnit::class),
        ));
    }

    /** @return array<string, mixed> */
    private static function writeFeel(Feel $feel): array
    {
        return ['mode' => $feel->mode->value, 'ratio' => Plain::number($feel->ratio), 'unit' => $feel->unit->value];
    }
}
