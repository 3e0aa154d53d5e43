<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Documents\AskedTake;
use Gravik\Breakdown\Arrangement;
use Gravik\Breakdown\StageKey;
use Gravik\Listening\Lock\Take;
use Gravik\Strokes\Hand\Levels;
use Gravik\Time\Tempo;
use Illuminate\Validation\Rule;

/** What every take is of, whether it is tapped or recorded: so many bars at a tempo and a level, of a stage of the lesson. */
trait TakeOfBars
{
    /** What waited longer on a device was played at another time than its clock says. */
    private const LONGEST_WAIT = 60 * 24 * 60 * 60;

    /** Ids are the same however they are capitalised. */
    public function asked(): AskedTake
    {
        return new AskedTake(
            mb_strtolower($this->string('id')->toString()),
            new Tempo($this->float('tempo')),
            $this->integer('bars'),
            $this->filled('stage') ? StageKey::parse($this->string('stage')->toString()) : null,
            $this->integer('level', Levels::HIGHEST),
            $this->filled('latency_ms') ? $this->float('latency_ms') : null,
            $this->integer('from'),
            $this->enum('arrangement', Arrangement::class) ?? Arrangement::WithBand,
            $this->integer('waited'),
        );
    }

    /** @return array<string, mixed> */
    private static function takeRules(): array
    {
        return [
            'id' => ['required', 'string', 'ulid'],
            'tempo' => ['required', 'numeric'],
            'bars' => ['required', 'integer', 'min:1', 'max:'.Take::MOST_BARS],
            'from' => ['sometimes', 'integer', 'between:0,2000'],
            'stage' => ['sometimes', 'nullable', 'string', 'max:120'],
            'waited' => ['sometimes', 'integer', 'between:0,'.self::LONGEST_WAIT],
            'arrangement' => ['sometimes', 'nullable', Rule::enum(Arrangement::class)],
            'level' => ['sometimes', 'integer', 'between:1,'.Levels::HIGHEST],
        ];
    }
}
