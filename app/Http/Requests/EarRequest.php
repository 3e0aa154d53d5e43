<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Lesson\Steps\Flaw;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** One answer of an ear. */
final class EarRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['flaw' => ['required', Rule::enum(Flaw::class)], 'right' => ['required', 'boolean']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['flaw.*' => 'Say which flaw was listened for.', 'right.*' => 'Say whether it was told apart: true or false.'];
    }

    public function flaw(): Flaw
    {
        return Flaw::from($this->string('flaw')->toString());
    }
}
