<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;

final class AssignmentRequest extends FormRequest
{
    private const MINUTES = 10;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'breakdown' => ['required', 'string', 'ulid'],
            'students' => ['required', 'array', 'min:1', 'max:500'],
            'students.*' => ['integer'],
            'stages' => ['sometimes', 'array', 'max:40'],
            'stages.*' => ['string', 'max:120'],
        ] + self::more();
    }

    /** @return array<string, mixed> */
    public static function more(): array
    {
        return [
            'due_on' => ['sometimes', 'nullable', 'date_format:Y-m-d'],
            'minutes' => ['sometimes', 'integer', 'between:5,25'],
            'opens' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'students.*' => 'Choose at least one student.',
            'due_on.*' => 'Give the day until which it is due as year-month-day, or none.',
            'minutes.*' => 'Give 5 to 25 minutes a day.',
        ];
    }

    /** @return list<int> */
    public function students(): array
    {
        return array_values(array_map(intval(...), array_filter((array) $this->input('students'), is_numeric(...))));
    }

    /** @return list<string> */
    public function stages(): array
    {
        return array_values(array_filter((array) $this->input('stages', []), is_string(...)));
    }

    public function due(): ?Carbon
    {
        return $this->filled('due_on') ? Carbon::createFromFormat('!Y-m-d', $this->string('due_on')->toString()) : null;
    }

    public function minutes(): int
    {
        return $this->integer('minutes', self::MINUTES);
    }
}
