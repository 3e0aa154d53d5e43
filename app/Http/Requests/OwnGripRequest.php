<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Harmony\ChordSymbol;
use Gravik\Neck\Neck;
use Gravik\Neck\Tuning;
use Illuminate\Foundation\Http\FormRequest;

/** A grip with a name of one's own, or the chord and the neck such grips are wanted on. */
final class OwnGripRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $asked = $this->isMethod('GET') ? 'sometimes' : 'required';

        return [
            'name' => [$asked, 'string', 'max:60'],
            'symbol' => [$asked, 'string', 'max:40'],
            'frets' => [$asked, 'string', 'max:60'],
            'tuning' => ['sometimes', 'string', 'max:80'],
            'capo' => ['sometimes', 'integer', 'between:-100,100'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.*' => 'Give the grip a name of at most 60 characters.',
            'symbol.*' => 'Say which chord the grip is.',
            'frets.*' => 'Write one fret for each string, x for muted.',
        ];
    }

    public function chord(): ?ChordSymbol
    {
        return $this->filled('symbol') ? ChordSymbol::parse($this->string('symbol')->toString()) : null;
    }

    public function neck(): Neck
    {
        return new Neck(Tuning::parse($this->string('tuning', 'standard')->toString()), $this->integer('capo'));
    }
}
