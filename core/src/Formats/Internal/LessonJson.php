<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal;

use Gravik\Breakdown\Gate;
use Gravik\Breakdown\Stage;
use Gravik\Breakdown\StageKey;
use Gravik\Breakdown\StageNote;
use Gravik\Breakdown\Waits;
use Gravik\Formats\Failure\FieldNotReadable;
use Gravik\Lesson\LadderMode;
use Gravik\Lesson\LadderWish;

/**
 * The stages of a document's lesson, as far as the teacher has said something of them.
 *
 * @internal used by BreakdownJson
 */
final readonly class LessonJson
{
    private const LADDER = ['start', 'goal', 'minutes', 'percent', 'mode', 'bars'];

    public function read(mixed $value, string $pointer): StageNote
    {
        $fields = Fields::of($value, $pointer)->only([
            'stage', 'of', 'dropped', 'name', 'say', 'mistakes', 'ladder', 'gate', 'level', 'waits', 'seen',
        ]);
        $stage = Stage::named($fields->string('stage')) ?? throw new FieldNotReadable(
            $pointer.'/stage',
            'there is no such stage; a lesson has '.implode(
                ', ',
                array_map(static fn (Stage $each): string => $each->slug(), Stage::cases()),
            ).'.',
        );
        $key = $fields->build(static fn (): StageKey => new StageKey($stage, $fields->has('of') ? $fields->string('of') : ''), 'of');

        return $fields->build(static fn (): StageNote => new StageNote(
            $key,
            $fields->has('dropped') && $fields->bool('dropped'),
            $fields->has('name') ? $fields->string('name') : null,
            $fields->has('say') ? $fields->string('say') : null,
            $fields->has('mistakes') ? $fields->list('mistakes', Fields::stringIn(...)) : null,
            $fields->has('ladder') ? self::ladder($fields->object('ladder')) : new LadderWish(),
            $fields->has('gate') ? self::gate($fields->object('gate')) : null,
            $fields->has('level') ? $fields->int('level') : null,
            $fields->has('waits') ? $fields->list('waits', self::waits(...), count(Waits::cases())) : null,
            $fields->has('seen') ? $fields->string('seen') : null,
        ));
    }

    /** @return array<string, mixed> */
    public function write(StageNote $note): array
    {
        $ladder = $note->ladder;
        $wanted = array_filter([
            'start' => $ladder->start,
            'goal' => $ladder->goal,
            'minutes' => $ladder->minutes,
            'percent' => $ladder->percent === null ? null : Plain::number($ladder->percent),
            'mode' => $ladder->mode?->value,
            'bars' => $ladder->bars,
        ], static fn (mixed $told): bool => $told !== null);
        $gate = $note->gate;

        return array_filter([
            'stage' => $note->key->stage->slug(),
            'of' => $note->key->of === '' ? null : $note->key->of,
            'dropped' => $note->dropped ? true : null,
            'name' => $note->name,
            'say' => $note->say,
            'mistakes' => $note->mistakes,
            'ladder' => $wanted === [] ? null : $wanted,
            'gate' => $gate === null ? null : array_map(Plain::number(...), [
                'biasMs' => $gate->biasMs,
                'spreadMs' => $gate->spreadMs,
                'swingPoints' => $gate->swingPoints,
                'missedShare' => $gate->missedShare,
            ]),
            'level' => $note->level,
            'waits' => $note->waits === null ? null : array_column($note->waits, 'value'),
            'seen' => $note->seen,
        ], static fn (mixed $told): bool => $told !== null);
    }

    private static function ladder(Fields $fields): LadderWish
    {
        $fields->only(self::LADDER);
        $whole = static fn (string $name): ?int => $fields->has($name) ? $fields->int($name) : null;

        return $fields->build(static fn (): LadderWish => new LadderWish(
            $whole('start'),
            $whole('goal'),
            $whole('minutes'),
            $fields->has('percent') ? $fields->number('percent') : null,
            $fields->has('mode') ? $fields->enum('mode', LadderMode::class) : null,
            $whole('bars'),
        ));
    }

    private static function gate(Fields $fields): Gate
    {
        $fields->only(['biasMs', 'spreadMs', 'swingPoints', 'missedShare']);

        return $fields->build(static fn (): Gate => new Gate(
            $fields->number('biasMs'),
            $fields->number('spreadMs'),
            $fields->number('swingPoints'),
            $fields->number('missedShare'),
        ));
    }

    private static function waits(mixed $value, string $pointer): Waits
    {
        return Waits::tryFrom(Fields::stringIn($value, $pointer)) ?? throw new FieldNotReadable(
            $pointer,
            'what waits is one of '.implode(', ', array_column(Waits::cases(), 'value')).'.',
        );
    }
}
