<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Figure;
use Gravik\Breakdown\RelativeTo;
use Gravik\Breakdown\TypedFigure;
use Gravik\Harmony\ChordSymbol;
use Gravik\Strokes\Counting;
use Illuminate\Validation\Rule;

/** A document, a figure as it is typed, and the place where it is to be played. */
final class FigureRequest extends DocumentRequest
{
    use AtPlace;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'id' => ['nullable', 'string', 'max:40'],
            'name' => ['nullable', 'string', 'max:40'],
            'typed' => ['array', 'max:2'],
            'typed.*' => ['string', 'max:2000'],
            'over' => ['nullable', 'string', 'max:40'],
            'relative_to' => ['nullable', Rule::enum(RelativeTo::class)],
            'passes' => ['nullable', 'array', 'max:64'],
            'passes.*' => ['string', 'max:40'],
            'instead' => ['boolean'],
            'octave' => ['integer', 'between:-2,2'],
            'near' => ['nullable', 'integer', 'between:0,20'],
        ] + self::placeRules() + parent::rules();
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.*' => 'A figure is named in at most 40 characters.',
            'near.*' => 'The hand lies at fret 0 to 20.',
        ] + parent::messages();
    }

    /**
     * As it is typed; a figure the song has already where nothing is typed.
     *
     * @param ChordSymbol $here over which it is played where none is said
     */
    public function figure(Breakdown $breakdown, string $id, ChordSymbol $here): Figure
    {
        $setting = $this->desk()->setting;
        $known = $this->filled('id') ? $breakdown->figure($id) : null;
        $typed = array_values(array_filter((array) $this->input('typed', []), is_string(...)));
        $lines = $typed !== [] || $known === null ? $typed : TypedFigure::write($known);

        return TypedFigure::read(
            $id,
            $this->named('name') ?? '',
            $lines === [] ? [implode(' ', Counting::syllables($setting->meter, $setting->meter->isCompound() ? 3 : 2))] : $lines,
            $setting->meter,
            $this->filled('over') ? $setting->reader()->chord($this->string('over')->toString()) : $known->chord ?? $here,
            $known->key ?? $setting->key,
            $this->enum('relative_to', RelativeTo::class) ?? RelativeTo::Chord,
        );
    }

    /** @return ?list<string> */
    public function passes(): ?array
    {
        $passes = $this->input('passes');

        return is_array($passes) ? array_values(array_filter($passes, is_string(...))) : null;
    }

    public function near(): ?int
    {
        return $this->filled('near') ? $this->integer('near') : null;
    }
}
