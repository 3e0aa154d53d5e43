<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\InvitationKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class InvitationRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::enum(InvitationKind::class)],
            'name' => ['sometimes', 'string', 'max:80'],
            'email' => ['sometimes', 'nullable', 'string', 'max:160', 'email:rfc'],
            'group' => ['sometimes', 'nullable', 'string', 'ulid'],
            'person' => ['required_if:kind,password', 'nullable', 'integer'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'person.*' => 'Choose whose password is to be set anew.',
            'name.*' => 'A name has at most 80 letters.',
            'email.*' => 'This is no e-mail address.',
        ];
    }

    public function kind(): InvitationKind
    {
        return $this->enum('kind', InvitationKind::class) ?? InvitationKind::Student;
    }
}
