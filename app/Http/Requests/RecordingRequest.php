<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Breakdown\Gate;
use Gravik\Time\Tempo;
use Illuminate\Foundation\Http\FormRequest;

/** A take as sound: the WAV file is the body, what it is of stands in the query. */
final class RecordingRequest extends FormRequest
{
    use HasSoundBody;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'string', 'ulid'],
            'tempo' => ['required', 'numeric'],
            'bars' => ['required', 'integer', 'min:1', 'max:64'],
            'stage' => ['sometimes', 'integer', 'between:1,'.Gate::STAGES],
            'first_beat' => ['sometimes', 'numeric', 'between:-10,600'],
            'latency_ms' => ['sometimes', 'numeric', 'between:-500,1000'],
        ];
    }

    public function tempo(): Tempo
    {
        return new Tempo($this->float('tempo'));
    }

    /** Where bar 1 beat 1 lies in the recording, seconds; null where nobody knows. */
    public function firstBeat(): ?float
    {
        return $this->has('first_beat') ? $this->float('first_beat') : null;
    }

    public function stage(): int
    {
        return $this->integer('stage', Gate::USUAL_STAGE);
    }

    public function latencyMs(): ?float
    {
        return $this->has('latency_ms') ? $this->float('latency_ms') : null;
    }
}
