<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Lesson\LadderMode;
use Gravik\Lesson\Pause;
use Gravik\Time\Meter;
use Gravik\Time\Tempo;
use Illuminate\Foundation\Http\FormRequest;

/** A ladder asked for, and the cycles played on it so far. */
final class LadderRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'start' => ['required', 'numeric'],
            'goal' => ['required', 'numeric'],
            'minutes' => ['required', 'numeric'],
            'step' => ['sometimes', 'numeric'],
            'bars' => ['required', 'integer', 'between:-1000,1000'],
            'mode' => ['required', 'string', 'max:20'],
            'meter' => ['required', 'string', 'max:10'],
            'clean' => ['sometimes', 'list', 'max:1000'],
            'clean.*' => ['boolean'],
            'hurts' => ['sometimes', 'boolean'],
            'played' => ['required_with:rest_after', 'numeric', 'min:0'],
            'rested' => ['sometimes', 'numeric', 'min:0'],
            'rest_after' => ['sometimes', 'numeric', 'between:5,60'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            '*.numeric' => 'Start, goal and minutes are numbers.',
            'played.required_with' => 'Whether a rest is due hangs on the seconds played.',
            'rest_after.between' => 'A rest comes after 5 to 60 minutes of playing.',
            '*.required' => 'A ladder needs a start, a goal, minutes and the bars of a cycle.',
        ];
    }

    public function start(): Tempo
    {
        return new Tempo($this->float('start'));
    }

    public function goal(): Tempo
    {
        return new Tempo($this->float('goal'));
    }

    public function meter(): Meter
    {
        return Meter::parse($this->string('meter')->toString());
    }

    public function mode(): LadderMode
    {
        return LadderMode::parse($this->string('mode')->toString());
    }

    public function pause(): ?Pause
    {
        return $this->has('rest_after')
            ? Pause::after(
                count($this->clean()),
                $this->float('played'),
                $this->float('rested'),
                $this->float('minutes'),
                $this->float('rest_after'),
            )
            : null;
    }

    /** @return list<bool> */
    public function clean(): array
    {
        /** @var list<bool> $clean */
        $clean = $this->input('clean') ?? [];

        return array_map(boolval(...), $clean);
    }
}
