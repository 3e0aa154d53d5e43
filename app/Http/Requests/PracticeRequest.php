<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Breakdown\StageKey;
use Gravik\Time\Tempo;
use Illuminate\Foundation\Http\FormRequest;

final class PracticeRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'stage' => ['sometimes', 'nullable', 'string', 'max:120'],
            'tempo' => ['sometimes', 'nullable', 'numeric'],
            'hurts' => ['sometimes', 'boolean'],
        ];
    }

    /** @return ?StageKey null for the whole song */
    public function stage(): ?StageKey
    {
        return $this->filled('stage') ? StageKey::parse($this->string('stage')->toString()) : null;
    }

    /** @return ?Tempo null where none is asked for */
    public function tempo(): ?Tempo
    {
        return $this->filled('tempo') ? new Tempo($this->float('tempo')) : null;
    }
}
