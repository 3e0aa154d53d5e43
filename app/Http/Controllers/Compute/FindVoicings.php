<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\VoicingsRequest;
use App\Http\Resources\VoicingResource;
use Gravik\Harmony\ChordSymbol;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\Line\PathFinder;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class FindVoicings extends Controller
{
    #[OA\Post(path: '/api/compute/voicings', summary: 'The best grips for one chord',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['symbol'], properties: [
        new OA\Property(property: 'symbol', type: 'string'),
        new OA\Property(property: 'tuning', type: 'string'),
        new OA\Property(property: 'capo', type: 'integer'),
        new OA\Property(property: 'strings', type: 'string'),
        new OA\Property(property: 'frets', type: 'string'),
        new OA\Property(property: 'company', type: 'string'),
        new OA\Property(property: 'hand', type: 'string'),
        new OA\Property(property: 'kind', type: 'string', nullable: true),
        new OA\Property(
            property: 'before',
            description: 'the grip before it in the line: then those that suit the line come first',
            type: 'object',
            nullable: true,
            properties: [
                new OA\Property(property: 'symbol', type: 'string'),
                new OA\Property(property: 'frets', type: 'array', items: new OA\Items(type: 'integer', nullable: true)),
            ],
        ),
        new OA\Property(
            property: 'after',
            description: 'the grip after it',
            type: 'object',
            nullable: true,
            properties: [
                new OA\Property(property: 'symbol', type: 'string'),
                new OA\Property(property: 'frets', type: 'array', items: new OA\Items(type: 'integer', nullable: true)),
            ],
        ),
        new OA\Property(property: 'limit', type: 'integer'),
    ])), responses: [new OA\Response(response: 200, description: 'computed', content: new OA\JsonContent(required: [
        'symbol',
        'count',
        'voicings',
    ], properties: [
        new OA\Property(property: 'symbol', type: 'string'),
        new OA\Property(property: 'count', type: 'integer'),
        new OA\Property(property: 'voicings', type: 'array', items: new OA\Items(ref: '#/components/schemas/Voicing')),
    ]))])]
    public function __invoke(VoicingsRequest $request): JsonResponse
    {
        $chord = ChordSymbol::parse($request->string('symbol')->toString());
        $neck = $request->neck();
        [$before, $after] = [$request->neighbour('before'), $request->neighbour('after')];
        $found = $request->finder()->findFamiliar($chord, max($request->limit(), PathFinder::CANDIDATES));
        $best = $before === null && $after === null ? $found->best : (new PathFinder($neck))->inLine($found->best, $before, $after);

        return new JsonResponse([
            'symbol' => $chord->text(),
            'count' => $found->count,
            'voicings' => array_map(
                static fn (Voicing $voicing): array => VoicingResource::of($voicing, $neck),
                array_slice($best, 0, $request->limit()),
            ),
        ]);
    }
}
