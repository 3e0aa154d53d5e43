<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\School\NameList;
use Illuminate\Foundation\Http\FormRequest;

final class ManyInvitationsRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['names' => ['required', 'string', 'max:2000000'], 'group' => ['sometimes', 'nullable', 'string', 'ulid']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['names.*' => 'Write the names of the students, one a line.'];
    }

    public function names(): NameList
    {
        return NameList::read($this->string('names')->toString());
    }
}
