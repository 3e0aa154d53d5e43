<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Harmony\Key;
use Gravik\Time\Meter;
use Gravik\Time\Tempo;
use Illuminate\Foundation\Http\FormRequest;

/** A melody as sound: the WAV file is the body, the beat it was hummed over stands in the query. */
final class HummedRequest extends FormRequest
{
    use HasSoundBody;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'first_beat' => ['required', 'numeric', 'between:-10,600'],
            'tempo' => ['required', 'numeric', 'between:20,400'],
            'meter' => ['required', 'string', 'max:10'],
            'key' => ['required', 'string', 'max:40'],
        ];
    }

    public function tempo(): Tempo
    {
        return new Tempo($this->float('tempo'));
    }

    public function meter(): Meter
    {
        return Meter::parse($this->string('meter')->toString());
    }

    public function key(): Key
    {
        return Key::parse($this->string('key')->toString());
    }
}
