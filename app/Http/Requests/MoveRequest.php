<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A document and a bar of it, whose strokes are recorded as a move or give way to one. */
final class MoveRequest extends DocumentRequest
{
    use AtPlace;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => [$this->routeIs('moves.keep') ? 'required' : 'sometimes', 'string', 'max:40'],
        ] + self::placeRules() + parent::rules();
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.*' => 'Give the move a name of at most 40 characters.'] + parent::messages();
    }
}
