<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Breakdown\Stage;
use Gravik\Time\Tempo;
use Illuminate\Validation\Rule;

/** What every take is of, whether it is tapped or recorded: so many bars at a tempo, of a stage of the lesson. */
trait TakeOfBars
{
    public function tempo(): Tempo
    {
        return new Tempo($this->float('tempo'));
    }

    public function stage(): int
    {
        return $this->integer('stage', Stage::usual()->value);
    }

    /** @return array<string, mixed> */
    private static function takeRules(): array
    {
        return [
            'id' => ['required', 'string', 'ulid'],
            'tempo' => ['required', 'numeric'],
            'bars' => ['required', 'integer', 'min:1', 'max:64'],
            'stage' => ['sometimes', 'integer', Rule::enum(Stage::class)],
        ];
    }
}
