<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\TuningWordsRequest;
use Gravik\Neck\RetunePlan;
use Gravik\Neck\StatedTuning;
use Gravik\Pitch\Pitch;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class CheckTuning extends Controller
{
    #[OA\Post(path: '/api/compute/stated-tuning', summary: 'A retuning in words as pitches, and a typed list held against it',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['stated'], properties: [
        new OA\Property(property: 'stated', description: 'such as whole step down, open major on D', type: 'string'),
        new OA\Property(property: 'typed', description: 'pitches, lowest string first', type: 'string', nullable: true),
    ])), responses: [new OA\Response(response: 200, description: 'computed', content: new OA\JsonContent(required: [
        'slug',
        'pitches',
        'changes',
        'contradictions',
    ], properties: [
        new OA\Property(property: 'slug', type: 'string'),
        new OA\Property(property: 'pitches', description: 'lowest string first', type: 'array', items: new OA\Items(type: 'string')),
        new OA\Property(
            property: 'changes',
            description: 'semitones from the usual tuning',
            type: 'array',
            items: new OA\Items(type: 'integer'),
        ),
        new OA\Property(property: 'contradictions', type: 'array', items: new OA\Items(required: ['string', 'typed', 'stated'],
            properties: [
            new OA\Property(property: 'string', type: 'integer'),
            new OA\Property(property: 'typed', type: 'string'),
            new OA\Property(property: 'stated', type: 'string'),
        ], type: 'object')),
    ]))])]
    public function __invoke(TuningWordsRequest $request): JsonResponse
    {
        $stated = StatedTuning::parse($request->string('stated')->toString());
        $steps = (new RetunePlan())->plan(RetunePlan::usual($stated), $stated);

        return new JsonResponse([
            'slug' => $stated->slug,
            'pitches' => array_map(static fn (Pitch $pitch): string => $pitch->text(), $stated->pitches),
            'changes' => array_map(static fn ($step): int => $step->semitones, $steps),
            'contradictions' => $request->filled('typed')
                ? StatedTuning::contradictions($stated, StatedTuning::parse($request->string('typed')->toString()))
                : [],
        ]);
    }
}
