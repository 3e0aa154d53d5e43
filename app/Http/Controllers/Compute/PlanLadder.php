<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\LadderRequest;
use App\Http\Resources\LadderResource;
use Gravik\Lesson\Backing;
use Gravik\Lesson\LadderMode;
use Gravik\Lesson\LadderPlanner;
use Gravik\Lesson\Pause;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class PlanLadder extends Controller
{
    #[OA\Post(path: '/api/compute/ladder', summary: 'A tempo ladder within the minutes, and where a player stands on it',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: [
        'start',
        'goal',
        'minutes',
        'bars',
        'mode',
        'meter',
    ], properties: [
        new OA\Property(property: 'start', type: 'number'),
        new OA\Property(property: 'goal', type: 'number'),
        new OA\Property(property: 'minutes', type: 'number'),
        new OA\Property(property: 'step', description: 'per cent', type: 'number'),
        new OA\Property(property: 'bars', description: 'in a cycle', type: 'integer'),
        new OA\Property(property: 'mode', type: 'string', enum: LadderMode::class),
        new OA\Property(property: 'meter', type: 'string'),
        new OA\Property(property: 'clean', description: 'the cycles played so far', type: 'array', items: new OA\Items(type: 'boolean')),
        new OA\Property(property: 'played', description: 'seconds of playing so far', type: 'number'),
        new OA\Property(property: 'rested', description: 'seconds of playing after which the last rest was taken', type: 'number'),
        new OA\Property(property: 'rest_after', description: 'minutes of playing in a row', type: 'number'),
        new OA\Property(property: 'hurts', description: 'on a day with pain nobody climbs', type: 'boolean'),
    ])), responses: [new OA\Response(response: 200, description: 'planned',
        content: new OA\JsonContent(allOf: [new OA\Schema(ref: '#/components/schemas/Ladder'), new OA\Schema(required: [
        'at',
        'raised',
        'pause',
        'backings',
    ], properties: [
        new OA\Property(
            property: 'backings',
            description: 'what can be played along to, from most help to least',
            type: 'array',
            items: new OA\Items(ref: '#/components/schemas/Backing'),
        ),
        new OA\Property(
            property: 'pause',
            description: 'why it does not go on by itself; told where rest_after is given',
            type: 'string',
            enum: Pause::class,
            nullable: true,
        ),
        new OA\Property(property: 'at', description: 'index of the step that comes next', type: 'integer'),
        new OA\Property(property: 'raised',
            description: 'for the next time, when this one has become easy', type: 'object', required: ['start', 'goal'], properties: [
            new OA\Property(property: 'start', type: 'integer'),
            new OA\Property(property: 'goal', type: 'integer'),
        ]),
    ])]))])]
    public function __invoke(LadderRequest $request, LadderPlanner $planner): JsonResponse
    {
        $step = $request->has('step') ? $request->float('step') : LadderPlanner::USUAL_STEP;
        $minutes = $request->float('minutes');
        $bars = $request->integer('bars');
        $ladder = $planner->plan($request->start(), $request->goal(), $minutes, $request->meter(), $request->mode(), $step, $bars);

        return new JsonResponse(LadderResource::of($ladder) + [
            'raised' => array_combine(['start', 'goal'], $ladder->raised()),
            'at' => $ladder->stepAfter($request->clean(), ! $request->boolean('hurts')),
            'pause' => $request->pause()?->value,
            'backings' => array_map(
                static fn (Backing $backing): array => LadderResource::backing($backing, $request->meter()),
                Backing::cases(),
            ),
        ]);
    }
}
