<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Strokes whose feel is to be measured. */
final class ListenRequest extends DocumentRequest
{
    use HeardStrokes;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [...parent::rules(), ...self::strokeRules()];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return parent::messages() + self::strokeMessages();
    }
}
