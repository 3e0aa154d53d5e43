<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Breakdown\Gate;
use Gravik\Breakdown\Stage;
use Gravik\Breakdown\StageKey;
use Gravik\Breakdown\Waits;
use Gravik\Formats\HandSketch;
use Gravik\Lesson\LadderMode;
use Gravik\Lesson\LadderWish;
use Gravik\Lesson\Steps\Flaw;
use Gravik\Lesson\Steps\Flawed;
use Gravik\Lesson\Steps\Lesson;
use Gravik\Lesson\Steps\OneRound;
use Gravik\Lesson\Steps\StageFigures;
use Gravik\Lesson\Steps\StrokeFigure;
use Gravik\Lesson\Steps\ToldStage;
use Gravik\Performance\PlayedStroke;
use Gravik\Time\Meter;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'StageLadder', required: ['start', 'goal', 'minutes', 'percent', 'mode', 'bars'], properties: [
    new OA\Property(property: 'start', type: 'integer'),
    new OA\Property(property: 'goal', type: 'integer'),
    new OA\Property(property: 'minutes', type: 'integer'),
    new OA\Property(property: 'percent', type: 'number'),
    new OA\Property(property: 'mode', type: 'string', enum: LadderMode::class),
    new OA\Property(property: 'bars', description: 'of a cycle', type: 'integer'),
])]
#[OA\Schema(schema: 'StageTail', required: ['at', 'beats', 'until', 'strings', 'ends', 'cut'], properties: [
    new OA\Property(property: 'at', type: 'integer'),
    new OA\Property(property: 'beats', type: 'number'),
    new OA\Property(property: 'until', description: 'beats at which its last string falls silent', type: 'number'),
    new OA\Property(property: 'strings', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'ends', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'cut', type: 'boolean'),
])]
#[OA\Schema(schema: 'LessonStage', required: ['key', 'stage', 'of', 'number', 'proposed', 'own', 'name', 'changes', 'proposal', 'settled_for',
    'ladder', 'usual', 'climb', 'backing', 'loop', 'level', 'waits', 'gate', 'sketch', 'tails'], properties: [
        new OA\Property(property: 'key', description: 'as it is asked for', type: 'string'),
        new OA\Property(property: 'stage', description: 'its kind, as documents name it', type: 'string'),
        new OA\Property(property: 'of', type: 'string'),
        new OA\Property(property: 'number', description: 'from 1; null where it is dropped', type: 'integer', nullable: true),
        new OA\Property(property: 'proposed', description: 'false where the song has no such thing any more', type: 'boolean'),
        new OA\Property(property: 'own', description: 'added by the teacher', type: 'boolean'),
        new OA\Property(property: 'name', type: 'string'),
        new OA\Property(property: 'changes', description: 'the one thing that is new', type: 'string'),
        new OA\Property(property: 'proposal', description: 'what is proposed now; kept with what the teacher says of it', type: 'string'),
        new OA\Property(
            property: 'settled_for',
            description: 'the proposal it was settled for, where that is another by now',
            type: 'string',
            nullable: true,
        ),
        new OA\Property(property: 'ladder', ref: '#/components/schemas/StageLadder'),
        new OA\Property(property: 'usual', ref: '#/components/schemas/StageLadder'),
        new OA\Property(property: 'climb', description: 'the ladder planned; null where it cannot be', nullable: true, allOf: [
            new OA\Schema(ref: '#/components/schemas/Ladder'),
        ]),
        new OA\Property(property: 'backing', ref: '#/components/schemas/Backing'),
        new OA\Property(
            property: 'loop',
            description: 'first and last bar that go round, from 0; null for all',
            type: 'array',
            items: new OA\Items(type: 'integer'),
            nullable: true,
        ),
        new OA\Property(property: 'level', type: 'integer'),
        new OA\Property(property: 'waits', type: 'array', items: new OA\Items(type: 'string', enum: Waits::class)),
        new OA\Property(property: 'gate', required: ['biasMs', 'spreadMs', 'swingPoints', 'missedShare'], properties: [
            new OA\Property(property: 'biasMs', type: 'number'),
            new OA\Property(property: 'spreadMs', type: 'number'),
            new OA\Property(property: 'swingPoints', type: 'number'),
            new OA\Property(property: 'missedShare', type: 'number'),
        ], type: 'object'),
        new OA\Property(property: 'sketch', ref: '#/components/schemas/HandSketch'),
        new OA\Property(property: 'tails', type: 'array', items: new OA\Items(ref: '#/components/schemas/StageTail')),
    ])]
#[OA\Schema(schema: 'OpenStage', required: [
    'key',
    'say',
    'mistakes',
    'own_say',
    'own_mistakes',
    'figures',
    'p',
    'postponed',
    'flaws',
], properties: [
    new OA\Property(property: 'key', type: 'string'),
    new OA\Property(property: 'say', description: 'the cue', type: 'string'),
    new OA\Property(property: 'mistakes', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'own_say', description: 'worded by the teacher', type: 'boolean'),
    new OA\Property(property: 'own_mistakes', type: 'boolean'),
    new OA\Property(property: 'p', description: 'share of the beat at which the off-beat falls at the goal', type: 'number'),
    new OA\Property(property: 'figures', type: 'array', items: new OA\Items(required: [
        'at', 'line', 'count', 'beats', 'dry', 'rings_ms', 'full_ms', 'share', 'level_db',
    ], properties: [
        new OA\Property(property: 'at', type: 'integer'),
        new OA\Property(property: 'line', type: 'integer'),
        new OA\Property(property: 'count', description: 'as it is counted: 2&', type: 'string'),
        new OA\Property(property: 'beats', type: 'number'),
        new OA\Property(property: 'dry', description: 'dead, or let go early', type: 'boolean'),
        new OA\Property(property: 'rings_ms', description: 'at the goal; null where it is dead', type: 'integer', nullable: true),
        new OA\Property(property: 'full_ms', description: 'at the tempo of the song', type: 'integer', nullable: true),
        new OA\Property(property: 'share', description: 'of the beat', type: 'number', nullable: true),
        new OA\Property(property: 'level_db', description: 'against the median stroke', type: 'number'),
    ], type: 'object')),
    new OA\Property(property: 'postponed', type: 'array', items: new OA\Items(required: ['what', 'stage'], properties: [
        new OA\Property(property: 'what', type: 'string'),
        new OA\Property(property: 'stage', description: 'number of the stage in which it comes', type: 'integer', nullable: true),
    ], type: 'object')),
    new OA\Property(property: 'flaws', type: 'array', items: new OA\Items(required: ['flaw', 'good', 'bad'], properties: [
        new OA\Property(property: 'flaw', type: 'string', enum: Flaw::class),
        new OA\Property(property: 'good', type: 'string'),
        new OA\Property(property: 'bad', type: 'string'),
    ], type: 'object')),
])]
#[OA\Schema(schema: 'Lesson', required: ['stages', 'minutes', 'open', 'waits', 'kinds'], properties: [
    new OA\Property(property: 'stages', type: 'array', items: new OA\Items(ref: '#/components/schemas/LessonStage')),
    new OA\Property(property: 'minutes', description: 'of all its ladders', type: 'integer'),
    new OA\Property(property: 'open', nullable: true, allOf: [new OA\Schema(ref: '#/components/schemas/OpenStage')]),
    new OA\Property(property: 'waits', description: 'what a stage can leave out on purpose', type: 'array', items: new OA\Items(
        required: ['id', 'words'],
        properties: [
            new OA\Property(property: 'id', type: 'string', enum: Waits::class),
            new OA\Property(property: 'words', type: 'string'),
        ],
        type: 'object',
    )),
    new OA\Property(property: 'kinds', description: 'of stages that can be added', type: 'array', items: new OA\Items(
        required: ['stage', 'words'],
        properties: [
            new OA\Property(property: 'stage', type: 'string'),
            new OA\Property(property: 'words', type: 'string'),
        ],
        type: 'object',
    )),
])]
final class LessonResource
{
    /** @return array<string, mixed> */
    public static function of(Lesson $lesson, ?StageKey $open): array
    {
        $stages = $lesson->stages();
        $meter = $lesson->plan->inside->breakdown->start->meter;
        $opened = array_values(array_filter(
            $stages,
            static fn (ToldStage $stage): bool => $open !== null && $stage->planned->key->equals($open),
        ))[0] ?? null;

        return [
            'stages' => array_map(static fn (ToldStage $stage): array => self::stage($lesson, $stage, $meter), $stages),
            'minutes' => array_sum(array_map(
                static fn (ToldStage $stage): int => $stage->planned->number === null ? 0 : (int) $stage->ladder->minutes,
                $stages,
            )),
            'open' => $opened === null ? null : self::open($lesson, $opened),
            'waits' => array_map(static fn (Waits $each): array => ['id' => $each->value, 'words' => $each->words()], Waits::cases()),
            'kinds' => array_map(static fn (Stage $each): array => ['stage' => $each->slug(), 'words' => $each->words()], Stage::ofTheTeacher()),
        ];
    }

    /** @return array<string, mixed> */
    private static function stage(Lesson $lesson, ToldStage $stage, Meter $meter): array
    {
        $planned = $stage->planned;
        $climb = $lesson->climb($stage);
        $song = $lesson->plan->inside->breakdown;

        return [
            'key' => $planned->key->text(),
            'stage' => $planned->key->stage->slug(),
            'of' => $planned->key->of,
            'number' => $planned->number,
            'proposed' => $planned->proposed,
            'own' => $planned->key->isOwn(),
            'name' => $stage->name,
            'changes' => $stage->changes,
            'proposal' => $stage->proposed,
            'settled_for' => $stage->settledFor(),
            'ladder' => self::ladder($stage->ladder),
            'usual' => self::ladder($stage->usual),
            'climb' => $climb === null ? null : LadderResource::of($climb),
            'backing' => LadderResource::backing($stage->backing, $meter),
            'loop' => $stage->loop,
            'level' => $planned->note->level ?? 3,
            'waits' => array_column($planned->note->waits ?? [], 'value'),
            'gate' => self::gate($song->gate($planned->key)),
            'sketch' => HandSketch::of($stage->hand(), $stage->round->timeline->map->first()),
            'tails' => self::tails($stage->round),
        ];
    }

    /** @return array<string, mixed> */
    private static function open(Lesson $lesson, ToldStage $stage): array
    {
        $advice = $lesson->advice($stage);
        $song = $lesson->plan->inside->breakdown;
        $full = StageFigures::of($lesson->at($stage, $song->start->tempo));
        $figures = StageFigures::of($stage->round);

        return [
            'key' => $stage->planned->key->text(),
            'say' => $advice->say,
            'mistakes' => $advice->mistakes,
            'own_say' => $stage->planned->note->say !== null,
            'own_mistakes' => $stage->planned->note->mistakes !== null,
            'p' => round($stage->round->timeline->map->first()->p, 4),
            'figures' => array_map(
                static fn (StrokeFigure $each, ?StrokeFigure $then, PlayedStroke $played): array => [
                    'at' => $each->stroke->at,
                    'line' => $each->line,
                    'count' => $each->count,
                    'beats' => round(self::beats($stage->round, $played->t), 4),
                    'dry' => $each->stroke->isDead() || $each->stroke->isLetGo(),
                    'rings_ms' => $each->ringsMs === null ? null : (int) round($each->ringsMs),
                    'full_ms' => $then?->ringsMs === null ? null : (int) round($then->ringsMs),
                    'share' => $each->share === null ? null : round($each->share, 3),
                    'level_db' => round($each->levelDb, 1) + 0.0,
                ],
                $figures,
                array_slice([...$full, ...array_fill(0, count($figures), null)], 0, count($figures)),
                $stage->round->strokes,
            ),
            'postponed' => array_map(
                static fn (array $each): array => ['what' => $each[0], 'stage' => $each[1]],
                $lesson->postponed($stage),
            ),
            'flaws' => array_map(
                static fn (Flaw $flaw): array => ['flaw' => $flaw->value, 'good' => $flaw->good(), 'bad' => $flaw->bad()],
                Flawed::audibleIn($stage->hand()->pattern),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private static function ladder(LadderWish $wish): array
    {
        return [
            'start' => $wish->start,
            'goal' => $wish->goal,
            'minutes' => $wish->minutes,
            'percent' => $wish->percent,
            'mode' => $wish->mode?->value,
            'bars' => $wish->bars,
        ];
    }

    /** @return array<string, float> */
    private static function gate(Gate $gate): array
    {
        return [
            'biasMs' => $gate->biasMs,
            'spreadMs' => $gate->spreadMs,
            'swingPoints' => $gate->swingPoints,
            'missedShare' => $gate->missedShare,
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function tails(OneRound $round): array
    {
        $ringing = array_filter($round->strokes, static fn (PlayedStroke $stroke): bool => ! $stroke->stroke->isDead());

        return array_values(array_map(static fn (PlayedStroke $stroke): array => [
            'at' => $stroke->tick,
            'beats' => round(self::beats($round, $stroke->t), 4),
            'until' => round(self::beats($round, max([$stroke->t, ...$stroke->ends])), 4),
            'strings' => array_map(static fn (int $index): int => count($stroke->voicing->frets) - $index, $stroke->strings),
            'ends' => array_map(static fn (float $end): float => round(self::beats($round, $end), 4), $stroke->ends),
            'cut' => $stroke->stroke->isLetGo(),
        ], $ringing));
    }

    private static function beats(OneRound $round, float $seconds): float
    {
        return $seconds * $round->timeline->map->first()->tempo->bpm / 60;
    }
}
