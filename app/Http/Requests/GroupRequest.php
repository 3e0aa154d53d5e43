<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

final class GroupRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:60', 'regex:/\\S/u'],
            'open' => ['sometimes', 'boolean'],
            'members' => ['sometimes', 'array', 'max:500'],
            'members.*' => ['integer'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.*' => 'Give the class a name of up to 60 letters.'];
    }

    public function name(): string
    {
        return trim($this->string('name')->toString());
    }

    /** @return ?list<int> */
    public function members(): ?array
    {
        $members = $this->input('members');

        return is_array($members) ? array_values(array_map(intval(...), array_filter($members, is_numeric(...)))) : null;
    }
}
