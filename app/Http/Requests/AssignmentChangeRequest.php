<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** What a teacher changes of work that is given: until when, how long a day, which stage lies on the stand, today's version. */
final class AssignmentChangeRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'reached' => ['sometimes', 'integer', 'between:0,39'],
            'renew' => ['sometimes', 'boolean'],
            'eases' => ['sometimes', 'boolean'],
        ] + AssignmentRequest::more();
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return (new AssignmentRequest())->messages();
    }

    /** @return array<string, mixed> */
    public function changes(): array
    {
        return array_intersect_key($this->validated(), array_flip(['due_on', 'minutes', 'opens', 'reached', 'eases']));
    }
}
