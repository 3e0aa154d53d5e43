<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Pagination\Cursor;
use Illuminate\Validation\ValidationException;

/** One page of a list: where the page before ended, and what is looked for. */
final class PageRequest extends FormRequest
{
    private const NOT_KNOWN = 'This page of the list is not known any more. Reload to begin anew.';

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'cursor' => ['sometimes', 'nullable', 'string', 'max:400', 'regex:~^[A-Za-z0-9+/=_-]*$~'],
            'search' => ['sometimes', 'nullable', 'string', 'max:80'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['cursor.*' => self::NOT_KNOWN, 'search.*' => 'Look for up to 80 characters.'];
    }

    /**
     * Null for the first page.
     *
     * @param string ...$columns by which the list is ordered
     *
     * @throws ValidationException where it is none that was given out
     */
    public function cursor(string ...$columns): ?Cursor
    {
        if (! $this->filled('cursor')) {
            return null;
        }
        $decoded = json_decode((string) base64_decode(strtr($this->string('cursor')->toString(), '-_', '+/'), true), true, 4);
        $places = is_array($decoded) ? array_filter($decoded, is_scalar(...)) : [];

        return array_keys($places) === [...$columns, '_pointsToNextItems']
            ? Cursor::fromEncoded($this->input('cursor'))
            : throw ValidationException::withMessages(['cursor' => self::NOT_KNOWN]);
    }

    /** @return list<string> in lower case */
    public function words(): array
    {
        return array_values(array_filter(
            preg_split('/\s+/u', mb_strtolower($this->string('search')->toString())) ?: [],
            static fn (string $word): bool => $word !== '',
        ));
    }
}
