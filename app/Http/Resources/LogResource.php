<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Http\Controllers\Takes\ListRemarks;
use App\Models\KeptUpkeep;
use App\Models\Remark;
use App\Models\Take;
use App\Models\User;
use App\School\ReadLog;
use Carbon\CarbonImmutable;
use Gravik\Lesson\Log\LoggedStage;
use Gravik\Lesson\Log\SlotCourse;
use Gravik\Lesson\Log\SlotOfTake;
use Gravik\Lesson\Log\SlotRun;
use Gravik\Lesson\Log\TakenCheck;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'LogPlayer', required: ['id', 'name'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'name', type: 'string'),
])]
#[OA\Schema(schema: 'LogStage', required: ['stage', 'passed_on', 'now', 'before'], properties: [
    new OA\Property(property: 'stage', description: 'key; empty for the whole song', type: 'string'),
    new OA\Property(property: 'passed_on', type: 'string', nullable: true),
    new OA\Property(property: 'now', description: 'clean tempo', type: 'number', nullable: true),
    new OA\Property(property: 'before', description: 'clean tempo two weeks ago', type: 'number', nullable: true),
])]
#[OA\Schema(schema: 'LogTake', required: ['id', 'number', 'at', 'stage', 'tempo', 'passed', 'clean'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'number', type: 'integer'),
    new OA\Property(property: 'at', type: 'string'),
    new OA\Property(property: 'stage', type: 'string'),
    new OA\Property(property: 'tempo', type: 'number'),
    new OA\Property(property: 'passed', type: 'boolean'),
    new OA\Property(property: 'clean', description: 'clean tempo of its stage after it', type: 'number', nullable: true),
])]
#[OA\Schema(schema: 'LogUpkeep', required: ['stage', 'begun', 'due_on', 'days', 'checks', 'ahead'], properties: [
    new OA\Property(property: 'stage', type: 'string'),
    new OA\Property(property: 'begun', type: 'string'),
    new OA\Property(property: 'due_on', type: 'string'),
    new OA\Property(property: 'days', description: 'between the last check and the next', type: 'integer'),
    new OA\Property(property: 'ahead', description: 'days to the one after that, if it holds', type: 'integer'),
    new OA\Property(property: 'checks', type: 'array', items: new OA\Items(required: ['on', 'days', 'passed'], properties: [
        new OA\Property(property: 'on', type: 'string'),
        new OA\Property(property: 'days', type: 'integer'),
        new OA\Property(property: 'passed', type: 'boolean'),
    ], type: 'object')),
])]
#[OA\Schema(schema: 'LogSlot', required: ['name', 'course', 'words', 'spread_words', 'takes'], properties: [
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'course', type: 'string', enum: SlotCourse::class),
    new OA\Property(property: 'words', type: 'string'),
    new OA\Property(property: 'spread_words', type: 'string'),
    new OA\Property(property: 'takes', description: 'the oldest first; null where it was not met', type: 'array', items: new OA\Items(
        required: ['bias_ms', 'spread_ms'],
        properties: [new OA\Property(property: 'bias_ms', type: 'number'), new OA\Property(property: 'spread_ms', type: 'number')],
        type: 'object',
        nullable: true,
    )),
])]
#[OA\Schema(schema: 'Log', required: [
    'players', 'player', 'takes', 'stages', 'days', 'minutes', 'minutes_week', 'upkeep', 'stage', 'gate_ms', 'slots', 'finding', 'remarks',
], properties: [
    new OA\Property(property: 'players', type: 'array', items: new OA\Items(ref: '#/components/schemas/LogPlayer')),
    new OA\Property(property: 'player', nullable: true, allOf: [new OA\Schema(ref: '#/components/schemas/LogPlayer')]),
    new OA\Property(property: 'takes', type: 'array', items: new OA\Items(ref: '#/components/schemas/LogTake')),
    new OA\Property(property: 'stages', type: 'array', items: new OA\Items(ref: '#/components/schemas/LogStage')),
    new OA\Property(property: 'days', type: 'array', items: new OA\Items(required: ['day', 'minutes'], properties: [
        new OA\Property(property: 'day', type: 'string'),
        new OA\Property(property: 'minutes', type: 'number'),
    ], type: 'object')),
    new OA\Property(property: 'minutes', type: 'integer'),
    new OA\Property(property: 'minutes_week', type: 'integer'),
    new OA\Property(property: 'upkeep', type: 'array', items: new OA\Items(ref: '#/components/schemas/LogUpkeep')),
    new OA\Property(property: 'stage', description: 'whose slots these are', type: 'string'),
    new OA\Property(property: 'gate_ms', type: 'number'),
    new OA\Property(property: 'slots', type: 'array', items: new OA\Items(ref: '#/components/schemas/LogSlot')),
    new OA\Property(property: 'finding', required: ['slot', 'text', 'reason'], properties: [
        new OA\Property(property: 'slot', type: 'string'),
        new OA\Property(property: 'text', type: 'string'),
        new OA\Property(property: 'reason', type: 'string'),
    ], type: 'object', nullable: true),
    new OA\Property(property: 'remarks', type: 'array', items: new OA\Items(allOf: [
        new OA\Schema(ref: '#/components/schemas/TakeRemark'),
        new OA\Schema(required: ['take'], properties: [new OA\Property(property: 'take', type: 'string')]),
    ])),
])]
final class LogResource
{
    /** @return array<string, mixed> */
    public static function of(ReadLog $log): array
    {
        $week = CarbonImmutable::today()->subDays(6)->toDateString();
        $finding = $log->finding;

        return [
            'players' => $log->players->map(self::person(...))->values()->all(),
            'player' => $log->player === null ? null : self::person($log->player),
            'takes' => self::takes($log->takes, $log->stages),
            'stages' => array_map(static fn (LoggedStage $each): array => [
                'stage' => $each->stage,
                'passed_on' => $each->passed?->format('Y-m-d'),
                'now' => $each->now,
                'before' => $each->before,
            ], $log->stages),
            'days' => array_map(
                static fn (string $day, float $played): array => ['day' => $day, 'minutes' => round($played, 1)],
                array_keys($log->minutes),
                $log->minutes,
            ),
            'minutes' => (int) round(array_sum($log->minutes)),
            'minutes_week' => (int) round(array_sum(array_filter(
                $log->minutes,
                static fn (string $day): bool => $day >= $week,
                ARRAY_FILTER_USE_KEY,
            ))),
            'upkeep' => array_map(static fn (array $each): array => self::upkeep($each['kept'], $each['checks']), $log->upkeeps),
            'stage' => $log->stage,
            'gate_ms' => $log->gateMs,
            'slots' => array_map(self::slot(...), $log->runs),
            'finding' => $finding === null ? null : ['slot' => $finding->slot, 'text' => $finding->text, 'reason' => $finding->reason],
            'remarks' => $log->remarks
                ->map(static fn (Remark $remark): array => ListRemarks::told($remark) + ['take' => $remark->take_id])->all(),
        ];
    }

    /** @return array{id: int, name: string} */
    private static function person(User $user): array
    {
        return ['id' => $user->id, 'name' => $user->name];
    }

    /**
     * @param list<Take>        $takes
     * @param list<LoggedStage> $stages
     *
     * @return list<array<string, mixed>>
     */
    private static function takes(array $takes, array $stages): array
    {
        $clean = array_column(array_map(static fn (LoggedStage $stage): array => [$stage->stage, $stage->clean], $stages), 1, 0);

        return array_map(static function (Take $take) use (&$clean): array {
            return [
                'id' => $take->id,
                'number' => $take->number,
                'at' => $take->created_at->toIso8601String(),
                'stage' => $take->stage,
                'tempo' => $take->tempo,
                'passed' => $take->passed,
                'clean' => array_shift($clean[$take->stage]),
            ];
        }, $takes);
    }

    /**
     * @param list<TakenCheck> $checks
     *
     * @return array<string, mixed>
     */
    private static function upkeep(KeptUpkeep $kept, array $checks): array
    {
        return [
            'stage' => $kept->stage,
            'begun' => $kept->created_at->toDateString(),
            'due_on' => $kept->due_on->toDateString(),
            'days' => $kept->days,
            'ahead' => $kept->upkeep()->played(true, $kept->due_on)->days,
            'checks' => array_map(static fn (TakenCheck $check): array => [
                'on' => $check->on->format('Y-m-d'),
                'days' => $check->days,
                'passed' => $check->passed,
            ], $checks),
        ];
    }

    /** @return array<string, mixed> */
    private static function slot(SlotRun $run): array
    {
        $met = array_values(array_filter($run->takes));

        return [
            'name' => $run->name,
            'course' => $run->course->value,
            'words' => $run->words,
            'spread_words' => $met === [] ? '' : sprintf('spread %d to %d', round($met[0]->spreadMs), round($met[count($met) - 1]->spreadMs)),
            'takes' => array_map(static fn (?SlotOfTake $slot): ?array => $slot === null ? null : [
                'bias_ms' => round($slot->biasMs, 1),
                'spread_ms' => round($slot->spreadMs, 1),
            ], $run->takes),
        ];
    }
}
