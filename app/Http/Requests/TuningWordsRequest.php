<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A tuning as somebody says it, and perhaps a list typed beside it. */
final class TuningWordsRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['stated' => ['required', 'string', 'max:120'], 'typed' => ['sometimes', 'nullable', 'string', 'max:120']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'stated.*' => 'Say how the guitar is tuned, such as whole step down, or write its strings, lowest first.',
            'typed.*' => 'Write the strings, lowest first, such as D2 A2 D3 G3 A3 D4.',
        ];
    }
}
