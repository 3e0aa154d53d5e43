<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Breakdown\Gate;
use Gravik\Time\Tempo;

/** What every take is of, whether it is tapped or recorded: so many bars at a tempo, of a stage of the lesson. */
trait TakeOfBars
{
    public function tempo(): Tempo
    {
        return new Tempo($this->float('tempo'));
    }

    public function stage(): int
    {
        return $this->integer('stage', Gate::USUAL_STAGE);
    }

    /** @return array<string, mixed> */
    private static function takeRules(): array
    {
        return [
            'id' => ['required', 'string', 'ulid'],
            'tempo' => ['required', 'numeric'],
            'bars' => ['required', 'integer', 'min:1', 'max:64'],
            'stage' => ['sometimes', 'integer', 'between:1,'.Gate::STAGES],
        ];
    }
}
