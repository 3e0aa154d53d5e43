<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rules\Password;

final class NewPasswordRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['password' => ['required', 'string', 'max:200', Password::min(NewPersonRequest::SHORTEST_PASSWORD)]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return NewPersonRequest::words();
    }

    public function password(): string
    {
        return $this->string('password')->toString();
    }
}
