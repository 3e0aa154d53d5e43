<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A document, and what of it is wanted on the page. */
final class HandoutRequest extends DocumentRequest
{
    use HandoutWish;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return parent::rules() + self::handoutRules();
    }
}
