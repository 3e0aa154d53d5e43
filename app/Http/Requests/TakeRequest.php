<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Breakdown\Gate;
use Gravik\Listening\Take;
use Gravik\Time\Tempo;
use Illuminate\Foundation\Http\FormRequest;

final class TakeRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'string', 'ulid'],
            'tempo' => ['required', 'numeric'],
            'bars' => ['required', 'integer', 'min:1', 'max:64'],
            'stage' => ['sometimes', 'integer', 'between:1,'.Gate::STAGES],
            'taps' => ['present', 'array', 'max:20000'],
            'latency_ms' => ['present', 'nullable', 'numeric', 'between:-500,1000'],
        ];
    }

    public function take(): Take
    {
        return Take::read(['taps' => $this->input('taps')]);
    }

    public function tempo(): Tempo
    {
        return new Tempo($this->float('tempo'));
    }

    public function stage(): int
    {
        return $this->integer('stage', Gate::USUAL_STAGE);
    }

    public function latencyMs(): ?float
    {
        return $this->input('latency_ms') === null ? null : $this->float('latency_ms');
    }
}
