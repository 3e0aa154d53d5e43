<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

final class DayRequest extends FormRequest
{
    private const MINUTES = 35;

    private const LEVEL = 85.0;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'minutes' => ['sometimes', 'integer'],
            'hurts' => ['sometimes', 'boolean'],
            'level' => ['sometimes', 'numeric'],
            'played' => ['sometimes', 'numeric', 'between:0,1440'],
        ];
    }

    public function minutes(): int
    {
        return $this->integer('minutes', self::MINUTES);
    }

    /** dB(A), as it is measured or guessed. */
    public function level(): float
    {
        return $this->float('level', self::LEVEL);
    }
}
