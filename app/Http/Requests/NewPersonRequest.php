<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rules\Password;

/** Who comes in for the first time: by a link, by a class code, or as the first person of all. */
final class NewPersonRequest extends FormRequest
{
    public const SHORTEST_PASSWORD = 8;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80', 'regex:/\S/u'],
            'email' => ['required', 'string', 'max:160', 'email:rfc', 'unique:users,email'],
            'password' => ['required', 'string', 'max:200', Password::min(self::SHORTEST_PASSWORD)],
            'code' => ['sometimes', 'string', 'max:40'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return self::words();
    }

    /** @return array<string, string> */
    public static function words(): array
    {
        return [
            'name.*' => 'Type the name you go by here, up to 80 letters.',
            'email.unique' => 'Somebody has an account with this address already. Sign in, or take another address.',
            'email.*' => 'Type an address to sign in with, such as name@example.com. No mail is sent to it unless your school does so.',
            'password.*' => 'Choose a password of at least '.self::SHORTEST_PASSWORD.' signs.',
        ];
    }

    public function name(): string
    {
        return trim($this->string('name')->toString());
    }

    public function email(): string
    {
        return mb_strtolower(trim($this->string('email')->toString()));
    }

    public function password(): string
    {
        return $this->string('password')->toString();
    }

    protected function prepareForValidation(): void
    {
        if (is_string($this->input('email'))) {
            $this->merge(['email' => $this->email()]);
        }
    }
}
