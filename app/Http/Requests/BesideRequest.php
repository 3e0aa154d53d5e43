<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A document, and when somebody else struck. */
final class BesideRequest extends DocumentRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'onsets' => ['present', 'list', 'max:20000'],
            'onsets.*' => ['numeric', 'between:-10,3600'],
            'offset' => ['nullable', 'numeric', 'between:-3600,3600'],
        ] + parent::rules();
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['onsets.*' => 'A part is a list of seconds, at most an hour of them.'] + parent::messages();
    }

    /** Seconds at which bar 1 lies in the part; null where it is to be found. */
    public function offset(): ?float
    {
        return $this->filled('offset') ? $this->float('offset') : null;
    }

    /** @return list<float> in order */
    public function onsets(): array
    {
        $onsets = array_map(floatval(...), array_values(array_filter((array) $this->input('onsets', []), is_numeric(...))));
        sort($onsets);

        return $onsets;
    }
}
