<?php

declare(strict_types=1);

namespace App\Http\Requests;

final class SaveRequest extends DocumentRequest
{
    public function rules(): array
    {
        return [...parent::rules(),
            'id' => ['sometimes', 'nullable', 'string', 'ulid'],
            'revision' => ['sometimes', 'integer', 'between:1,1000000000'],
            'sitting' => ['required', 'string', 'max:40'],
        ];
    }
}
