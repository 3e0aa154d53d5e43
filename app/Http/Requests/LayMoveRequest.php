<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Strokes\Shaping\BarMove;
use Illuminate\Validation\Rule;

/** A document, a bar of it, and the move that is laid over it. */
final class LayMoveRequest extends DocumentRequest
{
    use AtPlace;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'move' => ['required', Rule::enum(BarMove::class)],
            'slots' => ['integer', 'between:1,24'],
        ] + self::placeRules() + parent::rules();
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'move.*' => sprintf('A move is one of %s.', implode(', ', array_column(BarMove::cases(), 'value'))),
            'slots.*' => 'A fill has 1 to 24 slots.',
        ] + parent::messages();
    }

    public function move(): BarMove
    {
        return BarMove::from($this->string('move')->toString());
    }
}
