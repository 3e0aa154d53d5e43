<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Ensemble\Support;
use Illuminate\Validation\Rule;

/** A document, and the bars of the song that are looked at closely. */
final class BandRequest extends DocumentRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'from' => ['integer', 'between:0,2000'],
            'bars' => ['integer', 'between:1,4'],
            'clash' => ['integer', 'between:0,10000'],
            'support' => [Rule::enum(Support::class)],
        ] + parent::rules();
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'from.*' => 'Bars are counted from 0.',
            'bars.*' => 'One to four bars are looked at at once.',
            'support.*' => 'A band is a small group or a school band.',
        ] + parent::messages();
    }

    public function support(): Support
    {
        return $this->enum('support', Support::class) ?? Support::SmallGroup;
    }
}
