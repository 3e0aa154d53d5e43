<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

final class LogRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['player' => ['sometimes', 'integer'], 'stage' => ['sometimes', 'nullable', 'string', 'max:120']];
    }

    /** Whose log; null where nobody is named. */
    public function player(): ?int
    {
        return $this->filled('player') ? $this->integer('player') : null;
    }

    /** Key of a stage, '' for the whole song; null where none is named. */
    public function stage(): ?string
    {
        return $this->has('stage') ? $this->string('stage')->toString() : null;
    }
}
