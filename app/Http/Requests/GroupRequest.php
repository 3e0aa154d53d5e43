<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Band\Instrument;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

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
            'plays' => ['sometimes', 'array', 'max:500'],
            'plays.*.student' => ['required', 'integer'],
            'plays.*.instrument' => ['present', 'nullable', Rule::enum(Instrument::class)],
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

    /** @return array<int, ?string> by student: their instrument in a band */
    public function plays(): array
    {
        $plays = $this->input('plays');

        return array_column(is_array($plays) ? $plays : [], 'instrument', 'student');
    }

    /** @return ?list<int> */
    public function members(): ?array
    {
        $members = $this->input('members');

        return is_array($members) ? array_values(array_map(intval(...), array_filter($members, is_numeric(...)))) : null;
    }
}
