<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Password;

/** One's own name, address and password; the password of today is asked for whatever changes. */
final class AccountRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $user = $this->user();

        return [
            'current' => ['required', 'string', 'current_password'],
            'name' => ['sometimes', 'string', 'max:80', 'regex:/\S/u'],
            'email' => [
                'sometimes', 'string', 'max:160', 'email:rfc',
                Rule::unique('users', 'email')->ignore($user instanceof User ? $user->id : 0),
            ],
            'password' => ['sometimes', 'string', 'max:200', Password::min(NewPersonRequest::SHORTEST_PASSWORD)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['current.*' => 'This is not your password of today.'] + NewPersonRequest::words();
    }

    /** @return array<string, string> what is to change */
    public function changes(): array
    {
        $changes = [];
        foreach (['name', 'email', 'password'] as $field) {
            if ($this->filled($field)) {
                $typed = $this->string($field)->toString();
                $changes[$field] = $field === 'password' ? $typed : trim($typed);
            }
        }

        return $changes;
    }

    protected function prepareForValidation(): void
    {
        if (is_string($this->input('email'))) {
            $this->merge(['email' => mb_strtolower(trim($this->string('email')->toString()))]);
        }
    }
}
