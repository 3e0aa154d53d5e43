<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A take as sound: the WAV file is the body, what it is of stands in the query. */
final class RecordingRequest extends FormRequest
{
    use HasSoundBody;
    use TakeOfBars;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return self::takeRules() + [
            'keep_sound' => ['sometimes', 'boolean'],
            'first_beat' => ['sometimes', 'nullable', 'numeric', 'between:-10,600'],
            // An empty delay is one that was never measured.
            'latency_ms' => ['sometimes', 'nullable', 'numeric', 'between:-500,1000'],
        ];
    }

    /** Where bar 1 beat 1 lies in the recording, seconds; null where nobody knows. */
    public function firstBeat(): ?float
    {
        return $this->filled('first_beat') ? $this->float('first_beat') : null;
    }
}
