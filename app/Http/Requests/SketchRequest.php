<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Harmony\Key;
use Gravik\Listening\Hearing\NotesHeard;
use Gravik\Neck\Company;

/** A recording that was heard, of which a breakdown is to be drafted. */
final class SketchRequest extends DocumentRequest
{
    use HeardStrokes;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [...parent::rules(), ...self::strokeRules(),
            'notes' => ['required', 'string', 'max:250000'],
            'company' => ['required', 'string', 'max:20'],
            'key' => ['sometimes', 'nullable', 'string', 'max:20'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return parent::messages() + self::strokeMessages() + [
            'notes.*' => 'What was heard of the notes is missing. Open the recording again.',
            'company.*' => 'Say who has the bass: alone or with-bass.',
            'key.*' => 'Type the key as "D minor".',
        ];
    }

    public function notes(): NotesHeard
    {
        return NotesHeard::unpack($this->string('notes')->toString());
    }

    public function company(): Company
    {
        return Company::parse($this->string('company')->toString());
    }

    public function key(): ?Key
    {
        return $this->filled('key') ? Key::parse($this->string('key')->toString()) : null;
    }
}
