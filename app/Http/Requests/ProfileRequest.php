<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A document and a place in it, whose strokes, grips and band are kept under a word. */
final class ProfileRequest extends DocumentRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['name' => ['required', 'string', 'max:40']] + parent::rules();
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.*' => 'Give it a word of at most 40 characters.'] + parent::messages();
    }
}
