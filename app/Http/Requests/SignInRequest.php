<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

final class SignInRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['email' => ['required', 'string', 'max:160'], 'password' => ['required', 'string', 'max:200']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['email.*' => 'Type the e-mail address you sign in with.', 'password.*' => 'Type your password.'];
    }

    /** The same however it is capitalised. */
    public function email(): string
    {
        return mb_strtolower(trim($this->string('email')->toString()));
    }

    public function password(): string
    {
        return $this->string('password')->toString();
    }
}
