<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A recording of clicks that this device played itself. */
final class LoopbackRequest extends FormRequest
{
    use HasSoundBody;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'first' => ['required', 'numeric', 'between:-10,60'],
            'every' => ['required', 'numeric', 'between:0.3,2'],
            'count' => ['required', 'integer', 'between:8,64'],
        ];
    }

    /** @return list<float> seconds into the recording at which the clicks were played */
    public function clicks(): array
    {
        return array_map(
            fn (int $number): float => $this->float('first') + $number * $this->float('every'),
            range(0, $this->integer('count') - 1),
        );
    }
}
