<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Band\Instrument;
use Illuminate\Validation\Rule;

/** A document, and who is to join its band. */
final class PartRequest extends DocumentRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['instrument' => ['required', Rule::enum(Instrument::class)->except([Instrument::Guitar])]] + parent::rules();
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'instrument.*' => 'Drums, bass, a second guitar, keys, horns or a lead can join; the guitar is there already.',
        ] + parent::messages();
    }

    public function instrument(): Instrument
    {
        return Instrument::from($this->string('instrument')->toString());
    }
}
