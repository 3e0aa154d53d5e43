<?php

declare(strict_types=1);

namespace App\Http\Controllers\Day;

use App\Http\Controllers\Controller;
use App\Http\Requests\DayRequest;
use App\Models\Assignment;
use App\Models\KeptUpkeep;
use App\Models\Take;
use App\School\PracticeDay;
use Gravik\Lesson\Day\DayItem;
use Gravik\Lesson\Day\DayPlanner;
use Gravik\Lesson\Day\HearingDose;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'DayItem', required: [
    'kind', 'minutes', 'reason', 'late', 'breakdown', 'title', 'stage', 'stage_name', 'tempo', 'begun', 'finding',
], properties: [
    new OA\Property(property: 'kind', type: 'string', enum: ['assignment', 'check', 'break']),
    new OA\Property(property: 'minutes', type: 'integer'),
    new OA\Property(property: 'reason', type: 'string'),
    new OA\Property(property: 'late', description: 'its day is over', type: 'boolean'),
    new OA\Property(property: 'breakdown', type: 'string', nullable: true),
    new OA\Property(property: 'title', type: 'string'),
    new OA\Property(property: 'stage', type: 'string', nullable: true),
    new OA\Property(property: 'stage_name', type: 'string'),
    new OA\Property(property: 'tempo', description: 'of the last take of it, or to begin with', type: 'number', nullable: true),
    new OA\Property(property: 'begun', description: 'whether it was played before', type: 'boolean'),
    new OA\Property(property: 'finding', description: 'what was said of the last take first', type: 'string', nullable: true),
])]
final class ShowDay extends Controller
{
    #[OA\Get(path: '/api/day', summary: 'What to practise today', parameters: [
        new OA\QueryParameter(name: 'minutes', description: '10 to 90', schema: new OA\Schema(type: 'integer')),
        new OA\QueryParameter(name: 'hurts', description: 'the hand, today', schema: new OA\Schema(type: 'integer', enum: [0, 1])),
        new OA\QueryParameter(name: 'level', description: 'dB(A) it is played at', schema: new OA\Schema(type: 'number')),
        new OA\QueryParameter(name: 'played', description: 'minutes played today already', schema: new OA\Schema(type: 'number')),
    ], responses: [new OA\Response(response: 200, description: 'planned', content: new OA\JsonContent(required: [
        'items', 'minutes', 'asked', 'choices', 'hearing',
    ], properties: [
        new OA\Property(property: 'asked', description: 'minutes there are', type: 'integer'),
        new OA\Property(property: 'choices', description: 'minutes to choose from', type: 'array', items: new OA\Items(type: 'integer')),
        new OA\Property(property: 'items', type: 'array', items: new OA\Items(ref: '#/components/schemas/DayItem')),
        new OA\Property(property: 'minutes', description: 'together', type: 'integer'),
        new OA\Property(property: 'hearing', required: ['share', 'left', 'level', 'presets'], properties: [
            new OA\Property(property: 'level', description: 'dB(A) it is reckoned with', type: 'number'),
            new OA\Property(property: 'share', description: 'of what ears may take in a day', type: 'number'),
            new OA\Property(property: 'left', description: 'minutes at this level', type: 'integer'),
            new OA\Property(property: 'presets', type: 'array', items: new OA\Items(required: ['name', 'level'], properties: [
                new OA\Property(property: 'name', type: 'string'),
                new OA\Property(property: 'level', type: 'number'),
            ], type: 'object')),
        ], type: 'object'),
    ]))])]
    public function __invoke(DayRequest $request, PracticeDay $day): JsonResponse
    {
        $planned = $day->of($this->user($request), $request->minutes(), $request->boolean('hurts'));
        $dose = HearingDose::none()->after($request->float('played'), $request->level());

        return new JsonResponse([
            'items' => array_map(static fn (array $each): array => self::told($each['item'], $each['of'], $each['last'], $each['stage']), $planned),
            'minutes' => array_sum(array_map(static fn (array $each): int => $each['item']->minutes, $planned)),
            'asked' => $request->minutes(),
            'choices' => DayPlanner::CHOICES,
            'hearing' => [
                'level' => $request->level(),
                'share' => round($dose->share, 3),
                'left' => (int) floor($dose->minutesLeft($request->level())),
                'presets' => array_map(
                    static fn (string $name, float $level): array => ['name' => $name, 'level' => $level],
                    array_keys(HearingDose::PRESETS),
                    HearingDose::PRESETS,
                ),
            ],
        ]);
    }

    /** @return array<string, mixed> */
    private static function told(DayItem $item, Assignment|KeptUpkeep|null $of, ?Take $last, string $stage): array
    {
        return [
            'kind' => match (true) {
                $of === null => 'break',
                $of instanceof Assignment => 'assignment',
                default => 'check',
            },
            'minutes' => $item->minutes,
            'reason' => $item->reason(),
            'late' => $item->of->isLate ?? false,
            'breakdown' => $of?->breakdown_id,
            'title' => $of->breakdown->title ?? 'Break',
            'stage' => $of instanceof KeptUpkeep ? ($of->stage === '' ? null : $of->stage) : $of?->stageKey(),
            'stage_name' => $stage,
            'tempo' => $last->tempo ?? ($of instanceof Assignment ? $of->startTempo() : null),
            'begun' => $last !== null,
            'finding' => $last?->finding,
        ];
    }
}
