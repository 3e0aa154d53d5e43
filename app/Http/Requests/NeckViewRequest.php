<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** How somebody wants to see necks: the nut at the right, the highest string on top. */
final class NeckViewRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['left_handed' => ['required', 'boolean'], 'high_on_top' => ['required', 'boolean']];
    }
}
