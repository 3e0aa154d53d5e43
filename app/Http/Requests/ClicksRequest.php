<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Clicks that a device played, and the taps along with them. */
final class ClicksRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'clicks' => ['required', 'list', 'between:8,64'],
            'clicks.*' => ['numeric', 'between:-3600,3600'],
            'taps' => ['present', 'list', 'max:200'],
            'taps.*' => ['numeric', 'between:-3600,3600'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'clicks.*' => 'A measuring has 8 to 64 clicks, each a second.',
            'taps.*' => 'A measuring has up to 200 taps, each a second.',
        ];
    }

    /** @return list<float> */
    public function seconds(string $field): array
    {
        /** @var list<int|float|string> $given */
        $given = $this->input($field);

        return array_map(floatval(...), $given);
    }
}
