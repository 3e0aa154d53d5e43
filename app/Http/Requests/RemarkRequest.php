<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

final class RemarkRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'text' => ['required', 'string', 'max:500', 'regex:/\S/u'],
            'seconds' => ['sometimes', 'nullable', 'numeric', 'between:0,36000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['text.*' => 'Write a sentence of up to 500 letters.', 'seconds.*' => 'Give the moment in seconds of the take.'];
    }
}
