<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Breakdown\Arrangement;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Desk;
use Gravik\Breakdown\StageKey;
use Gravik\Chart\ApproachKind;
use Gravik\Chart\Move;
use Gravik\Formats\BreakdownJson;
use Gravik\Formats\DocumentNotReadable;
use Gravik\Lesson\Steps\Flaw;
use Gravik\Listening\Lock\Take;
use Gravik\Strokes\Hand\Levels;
use Gravik\Time\Tempo;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/**
 * A request that carries a breakdown document, and what is asked about it. A word means the same beside every document,
 * so its shape is checked wherever it is sent; meaning is the core's business.
 */
class DocumentRequest extends FormRequest
{
    private const WISHES = [
        'tempo' => ['nullable', 'numeric'],
        'level' => ['integer', 'between:1,'.Levels::HIGHEST],
        'elsewhere' => ['boolean'],
        'symbol' => ['string', 'max:40'],
        'frets' => ['string', 'max:60'],
        'scale' => ['string', 'max:30'],
        'hand' => ['string', 'max:60'],
        'key' => ['string', 'max:40'],
        'tuning' => ['string', 'max:80'],
        'from' => ['nullable', 'string', 'max:80'],
        'capo' => ['integer', 'between:-100,100'],
        'melody' => ['string', 'max:4000'],
        'figure' => ['string', 'max:1000'],
        'bar' => ['integer', 'between:-1000,100000'],
        'chord' => ['integer', 'between:0,100000'],
        'steps' => ['integer', 'between:1,'.Move::MOST_STEPS],
        'slot_ticks' => ['integer', 'between:'.Move::SHORTEST_SLOT.','.Move::LONGEST_SLOT],
        'meter' => ['nullable', 'string', 'max:10'],
        'bars' => ['integer', 'between:1,'.Take::MOST_BARS],
        'grid' => ['nullable', 'integer', 'between:1,12'],
        'beat' => ['nullable', 'integer', 'between:0,1000'],
        'division' => ['nullable', 'integer', 'between:1,12'],
        'copy_bar' => ['integer', 'between:0,100000'],
        'exchange_beat' => ['integer', 'between:0,100000'],
        'accents' => ['string', 'max:30'],
        'lengths' => ['string', 'max:30'],
        'counted' => ['string', 'max:4000'],
        'line' => ['integer', 'between:0,7'],
        'pass' => ['nullable', 'string', 'max:40'],
        'what' => ['string', 'in:pattern,line'],
        'named' => ['nullable', 'string', 'max:40'],
        'section' => ['nullable', 'string', 'max:40'],
        'part' => ['nullable', 'string', 'max:40'],
        'strokes_of' => ['nullable', 'string', 'max:40'],
        'ending' => ['integer', 'between:0,20'],
        'slug' => ['string', 'max:40'],
        'home' => ['boolean'],
        'coloured' => ['boolean'],
        'typed' => ['nullable', 'string', 'max:4000'],
        'name' => ['nullable', 'string', 'max:40'],
        'intro' => ['boolean'],
        'like' => ['nullable', 'string', 'max:40'],
        'position' => ['integer', 'between:-24,64'],
        'stage' => ['nullable', 'string', 'max:120'],
        'format' => ['string', 'max:20'],
    ];

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'document' => ['required', 'array'],
            'move' => ['nullable', Rule::enum(ApproachKind::class)],
            'arrangement' => ['nullable', Rule::enum(Arrangement::class)],
            'flaw' => ['nullable', Rule::enum(Flaw::class)],
        ]
            + array_map(static fn (array $shape): array => ['sometimes', ...$shape], self::WISHES);
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'document.*' => 'This file is not a breakdown. Choose a file that Gravik exported (.gravik.json).',
            'tempo.*' => 'The tempo is a number of beats a minute.',
            'level.*' => 'A pattern has levels 1, 2 and 3.',
            'capo.*' => 'The capo is a fret from 0 (none) to 12.',
            'chord.*' => 'Choose the chord that is to be come to.',
            'steps.*' => 'An approach has 1 to 8 grips.',
            'slot_ticks.*' => 'A slot is a sixteenth to a whole note long.',
            'grid.*' => 'A beat divides into 1, 2, 3, 4 or 6.',
            'division.*' => 'A beat divides into 1, 2, 3, 4 or 6.',
            'symbol.*' => 'A chord is written in up to 40 characters, such as E♭9.',
            'frets.*' => 'Write one fret for each string, x for muted.',
            'bars.*' => 'Bars are counted from 1 to '.Take::MOST_BARS.'.',
        ];
    }

    /** @throws DocumentNotReadable */
    public function breakdown(): Breakdown
    {
        return (new BreakdownJson())->read($this->input('document'));
    }

    /** The place of the song that is asked about, else its first section in its first pass; at a figure's strokes where one is named. */
    public function desk(): Desk
    {
        $desk = Desk::of($this->breakdown(), $this->named('pass'), $this->named('section'), $this->arrangement());
        $figure = $this->named('strokes_of');

        return $figure === null ? $desk : $desk->atFigure($figure);
    }

    public function arrangement(): Arrangement
    {
        return $this->enum('arrangement', Arrangement::class) ?? Arrangement::WithBand;
    }

    /** @return ?StageKey null for the whole song */
    public function stage(): ?StageKey
    {
        $stage = $this->named('stage');

        return $stage === null ? null : StageKey::parse($stage);
    }

    /** What is called so, where something is. */
    public function named(string $what): ?string
    {
        return $this->filled($what) ? $this->string($what)->toString() : null;
    }

    public function tempo(): ?Tempo
    {
        return $this->input('tempo') === null ? null : new Tempo($this->float('tempo'));
    }

    public function level(): int
    {
        return $this->integer('level', Levels::HIGHEST);
    }
}
