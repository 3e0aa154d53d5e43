<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Pagination\Cursor;

/** One page of a list: where the page before ended, and what is looked for. */
final class PageRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['cursor' => ['sometimes', 'nullable', 'string', 'max:400', 'regex:~^[A-Za-z0-9+/=_-]*$~'], 'search' => ['sometimes', 'nullable', 'string', 'max:80']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['cursor.*' => 'This page of the list is not known any more. Reload to begin anew.', 'search.*' => 'Look for up to 80 characters.'];
    }

    /** Null for the first page, also where the cursor is none that was given out. */
    public function cursor(): ?Cursor
    {
        $cursor = Cursor::fromEncoded($this->input('cursor'));
        $places = $cursor === null ? [] : array_diff_key($cursor->toArray(), ['_pointsToNextItems' => true]);

        return $places === [] || array_filter($places, is_scalar(...)) !== $places ? null : $cursor;
    }

    /** @return list<string> in lower case */
    public function words(): array
    {
        return array_values(array_filter(preg_split('/\s+/u', mb_strtolower($this->string('search')->toString())) ?: [], static fn (string $word): bool => $word !== ''));
    }
}
