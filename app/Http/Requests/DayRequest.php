<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Lesson\Day\DayPlanner;
use Gravik\Lesson\Day\HearingDose;
use Illuminate\Foundation\Http\FormRequest;

final class DayRequest extends FormRequest
{
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
        return $this->integer('minutes', DayPlanner::USUAL);
    }

    /** dB(A), as it is measured or guessed. */
    public function level(): float
    {
        return $this->float('level', HearingDose::USUAL);
    }
}
