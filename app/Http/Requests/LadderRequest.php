<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Lesson\LadderMode;
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
            'bars' => ['required', 'integer'],
            'mode' => ['required', 'string'],
            'meter' => ['required', 'string'],
            'clean' => ['sometimes', 'list', 'max:1000'],
            'clean.*' => ['boolean'],
            'hurts' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['*.numeric' => 'Start, goal and minutes are numbers.', '*.required' => 'A ladder needs a start, a goal, minutes and the bars of a cycle.'];
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

    /** @return list<bool> */
    public function clean(): array
    {
        /** @var list<bool> $clean */
        $clean = $this->input('clean') ?? [];

        return array_map(boolval(...), $clean);
    }
}
