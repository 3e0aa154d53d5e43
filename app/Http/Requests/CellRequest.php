<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Band\Role;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Cell;
use Gravik\Breakdown\CellField;
use Gravik\Breakdown\Texture;
use Illuminate\Validation\Rule;

/** A document, a place in it, and what a part is to have there. */
final class CellRequest extends DocumentRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'part' => ['nullable', 'string', 'max:40'],
            'bars' => ['nullable', 'array', 'max:400'],
            'bars.*' => ['integer', 'between:0,4000'],
            'role' => ['nullable', Rule::enum(Role::class)],
            'pattern' => ['nullable', 'string', 'max:40'],
            'line' => ['nullable', 'string', 'max:40'],
            'level' => ['nullable', 'integer', 'between:1,3'],
            'texture' => ['nullable', Rule::enum(Texture::class)],
            'dynamic' => ['nullable', 'integer', 'between:-'.Cell::MOST_DYNAMIC.','.Cell::MOST_DYNAMIC],
            'note' => ['nullable', 'string', 'max:120'],
            'as_above' => ['array', 'max:10'],
            'as_above.*' => [Rule::enum(CellField::class)],
        ] + parent::rules();
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'bars.*' => 'Bars are counted from 0 in their section.',
            'note.*' => 'A note has at most 120 characters.',
        ] + parent::messages();
    }

    public function cell(Breakdown $breakdown): Cell
    {
        $bars = $this->input('bars');

        return new Cell(
            $this->named('part') ?? $breakdown->guitar()->id,
            $this->named('section'),
            role: $this->enum('role', Role::class),
            pattern: $this->named('pattern'),
            line: $this->named('line'),
            level: $this->filled('level') ? $this->integer('level') : null,
            bars: is_array($bars) ? array_values(array_map(intval(...), $bars)) : null,
            texture: $this->enum('texture', Texture::class),
            dynamic: $this->filled('dynamic') ? $this->integer('dynamic') : null,
            note: $this->named('note'),
        );
    }

    /** @return list<CellField> */
    public function asAbove(): array
    {
        return array_values(array_map(
            static fn (mixed $field): CellField => CellField::from(is_string($field) ? $field : ''),
            (array) $this->input('as_above', []),
        ));
    }
}
