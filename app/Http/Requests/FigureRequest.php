<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Change\LineExchanger;
use Gravik\Breakdown\Figure;
use Gravik\Breakdown\FigureNote;
use Gravik\Breakdown\FixedNote;
use Gravik\Breakdown\RelativeTo;
use Gravik\Breakdown\TypedFigure;
use Gravik\Harmony\ChordSymbol;
use Gravik\Strokes\Counting;
use Gravik\Strokes\Shaping\LineRooms;
use Gravik\Strokes\Written\FigureLine;
use Gravik\Strokes\Written\FigureRhythm;
use Gravik\Time\Meter;
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
            'parts' => ['nullable', 'array', 'min:1', 'max:12'],
            'parts.*' => ['string', 'max:40'],
            'instead' => ['boolean'],
            'octave' => ['integer', 'between:-2,2'],
            'near' => ['nullable', 'integer', 'between:0,20'],
            'fixed' => ['array', 'max:400'],
            'fixed.*.stream' => ['required', 'integer', 'between:0,1'],
            'fixed.*.tick' => ['required', 'integer', 'between:0,100000'],
            'fixed.*.note' => ['required', 'integer', 'between:1,8'],
            'fixed.*.string' => ['required', 'integer', 'between:1,8'],
            'fixed.*.fret' => ['required', 'integer', 'between:0,'.FigureNote::HIGHEST_FRET],
            'rhythm' => ['nullable', 'string', 'max:2000'],
            'punctuate' => ['boolean'],
            'exchange' => ['nullable', 'array:from,until'],
            'exchange.*' => ['integer', 'between:0,100000'],
        ] + self::placeRules() + parent::rules();
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.*' => 'A figure is named in at most 40 characters.',
            'parts' => 'A figure is played by one part at least.',
            'near.*' => 'The hand lies at fret 0 to 20.',
            'fixed.*' => 'A fixed note names its line, tick and string, and the string and fret it is played on.',
        ] + parent::messages();
    }

    /**
     * As it is typed; a figure the song has already where nothing is typed. What is asked for with it is done to it: another
     * rhythm, a stretch handed over to the other line, chords where the line rests.
     *
     * @param ChordSymbol $here over which it is played where none is said
     */
    public function figure(Breakdown $breakdown, string $id, ChordSymbol $here): Figure
    {
        $setting = $this->desk()->setting;
        $known = $this->filled('id') ? $breakdown->figure($id) : null;
        $figure = TypedFigure::read(
            $id,
            $this->named('name') ?? '',
            $this->lines($known, $setting->meter),
            $setting->meter,
            $this->filled('over') ? $setting->reader()->chord($this->string('over')->toString()) : $known->chord ?? $here,
            $known->key ?? $setting->key,
            $this->enum('relative_to', RelativeTo::class) ?? RelativeTo::Chord,
        );

        return $this->filled('exchange')
            ? (new LineExchanger())->exchange($figure, $this->integer('exchange.from'), $this->integer('exchange.until'))
            : $figure;
    }

    /** @return non-empty-list<string> */
    private function lines(?Figure $known, Meter $meter): array
    {
        $typed = array_values(array_filter((array) $this->input('typed', []), is_string(...)));
        $lines = $typed !== [] || $known === null ? $typed : TypedFigure::write($known);
        $first = $lines[0] ?? implode(' ', Counting::syllables($meter, $meter->isCompound() ? 3 : 2));
        $first = $this->filled('rhythm') ? (new FigureRhythm($meter))->onto($first, $this->string('rhythm')->toString()) : $first;
        $second = $this->boolean('punctuate') ? $this->chordsIn($first, $meter) : array_slice($lines, 1);

        return [$first, ...$second];
    }

    /** @return list<string> the second line that puts chords where the first rests; none where it does not */
    private function chordsIn(string $line, Meter $meter): array
    {
        $pattern = FigureLine::parse([$line], $meter)->pattern;
        $chords = (new LineRooms($pattern))->punctuation(0);

        return $chords->strokes === [] ? [] : [FigureLine::write($pattern->withStreams([$chords]), 0, [])];
    }

    /** @return list<FixedNote> that are notes of the figure */
    public function fixed(Figure $figure): array
    {
        $fixed = [];
        foreach ((array) $this->input('fixed', []) as $number => $each) {
            $at = "fixed.{$number}.";
            $fixed[] = new FixedNote(
                $this->integer("{$at}stream"),
                $this->integer("{$at}tick"),
                $this->integer("{$at}note"),
                $this->integer("{$at}string"),
                $this->integer("{$at}fret"),
            );
        }

        return array_values(array_filter($fixed, $figure->has(...)));
    }

    /** @return ?list<string> */
    public function passes(): ?array
    {
        $passes = $this->input('passes');

        return is_array($passes) ? array_values(array_filter($passes, is_string(...))) : null;
    }

    /** @return ?list<string> */
    public function parts(): ?array
    {
        $parts = $this->input('parts');

        return is_array($parts) ? array_values(array_filter($parts, is_string(...))) : null;
    }

    public function near(): ?int
    {
        return $this->filled('near') ? $this->integer('near') : null;
    }
}
