<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Harmony\ChordSymbol;
use Gravik\Neck\Company;
use Gravik\Neck\Finder\VoicingFinder;
use Gravik\Neck\FretRange;
use Gravik\Neck\Grip\GripKind;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\HandProfile;
use Gravik\Neck\Neck;
use Gravik\Neck\Tuning;
use Illuminate\Foundation\Http\FormRequest;

final class VoicingsRequest extends FormRequest
{
    private const MOST = 60;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'symbol' => ['required', 'string', 'max:40'],
            'tuning' => ['sometimes', 'string', 'max:80'],
            'capo' => ['sometimes', 'integer', 'between:-100,100'],
            'strings' => ['sometimes', 'string', 'max:20'],
            'frets' => ['sometimes', 'string', 'max:10'],
            'company' => ['sometimes', 'string', 'max:20'],
            'hand' => ['sometimes', 'string', 'max:60'],
            'kind' => ['sometimes', 'nullable', 'string', 'max:30'],
            'before' => ['sometimes', 'nullable', 'array:symbol,frets'],
            'after' => ['sometimes', 'nullable', 'array:symbol,frets'],
            '*.symbol' => ['sometimes', 'string', 'max:40'],
            '*.frets' => ['sometimes', 'array', 'max:8'],
            '*.frets.*' => ['nullable', 'integer', 'between:0,24'],
            'limit' => ['sometimes', 'integer', 'min:1', 'max:'.self::MOST],
        ];
    }

    public function neck(): Neck
    {
        $tuning = Tuning::parse($this->string('tuning', 'standard')->toString());

        return new Neck(
            $tuning,
            $this->integer('capo'),
            $this->has('strings') ? Neck::parseStrings($this->string('strings')->toString(), $tuning->strings()) : null,
        );
    }

    public function finder(): VoicingFinder
    {
        return new VoicingFinder(
            $this->neck(),
            FretRange::parse($this->string('frets', '0-15')->toString()),
            Company::parse($this->string('company', 'alone')->toString()),
            HandProfile::parse($this->string('hand', 'medium')->toString()),
            $this->filled('kind') ? GripKind::parse($this->string('kind')->toString()) : null,
        );
    }

    /** The grip of the line before this chord or after it; null at its ends. */
    public function neighbour(string $side): ?Voicing
    {
        $symbol = $this->input("{$side}.symbol");
        $frets = $this->input("{$side}.frets");
        if (! is_string($symbol) || ! is_array($frets)) {
            return null;
        }

        return $this->finder()->voicing(
            ChordSymbol::parse($symbol),
            array_map(static fn (mixed $fret): ?int => is_int($fret) ? $fret : null, array_values($frets)),
        );
    }

    public function limit(): int
    {
        return $this->integer('limit', 12);
    }
}
