<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Listening\Lock\Take;

/** A rhythm tapped over a click, to be read as a pattern of the document. */
final class TappedRequest extends DocumentRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'taps' => ['present', 'array', 'max:2000'],
            'bars' => ['required', 'integer', 'between:1,4'],
            'from' => ['sometimes', 'integer', 'between:0,2000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['bars.*' => 'A pattern has one to four bars.', 'taps.*' => 'A tapped rhythm is a list of at most 2000 taps.']
            + parent::messages();
    }

    public function take(): Take
    {
        return Take::read(['taps' => $this->input('taps')]);
    }
}
