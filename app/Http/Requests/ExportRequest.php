<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A file of a breakdown; where it is the handout, what is wanted on it. */
final class ExportRequest extends FormRequest
{
    use HandoutWish;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return self::handoutRules();
    }
}
