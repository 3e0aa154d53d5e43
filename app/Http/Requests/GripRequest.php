<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Harmony\Key;
use Gravik\Neck\Neck;
use Gravik\Neck\Tuning;
use Illuminate\Foundation\Http\FormRequest;

/** A grip on some neck, in the key of a tune where that is known. */
final class GripRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'frets' => ['required', 'array', 'min:4', 'max:8'],
            'frets.*' => ['nullable', 'integer', 'min:0', 'max:24'],
            'key' => ['sometimes', 'nullable', 'string', 'max:40'],
            'tuning' => ['sometimes', 'string', 'max:80'],
            'capo' => ['sometimes', 'integer', 'between:-100,100'],
        ];
    }

    public function neck(): Neck
    {
        return new Neck(Tuning::parse($this->string('tuning', 'standard')->toString()), $this->integer('capo'));
    }

    public function key(): ?Key
    {
        $key = $this->input('key');

        return is_string($key) && $key !== '' ? Key::parse($key) : null;
    }

    /** @return list<int|null> */
    public function frets(): array
    {
        return array_map(static fn (mixed $fret): ?int => is_numeric($fret) ? (int) $fret : null, array_values($this->array('frets')));
    }
}
