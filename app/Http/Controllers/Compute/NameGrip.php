<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\GripRequest;
use App\Http\Resources\ChordNameResource;
use App\Http\Resources\VoicingResource;
use Gravik\Neck\Finder\VoicingFinder;
use Gravik\Neck\Grip\GripNamer;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class NameGrip extends Controller
{
    #[OA\Post(path: '/api/compute/name', summary: 'Every name a grip can have, and how it is fingered',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['frets'], properties: [
        new OA\Property(
            property: 'frets',
            description: 'low to high, null where muted',
            type: 'array',
            items: new OA\Items(type: 'integer', nullable: true),
        ),
        new OA\Property(property: 'key', type: 'string'),
        new OA\Property(property: 'tuning', type: 'string'),
        new OA\Property(property: 'capo', type: 'integer'),
    ])), responses: [new OA\Response(response: 200, description: 'computed',
        content: new OA\JsonContent(required: ['names', 'voicing'], properties: [
        new OA\Property(property: 'names', type: 'array', items: new OA\Items(ref: '#/components/schemas/ChordName')),
        new OA\Property(
            property: 'voicing',
            description: 'under its first name; null where it has none or four fingers cannot hold it',
            ref: '#/components/schemas/Voicing',
            nullable: true,
        ),
    ]))])]
    public function __invoke(GripRequest $request): JsonResponse
    {
        $neck = $request->neck();
        $names = (new GripNamer($neck, $request->key()))->names($request->frets());
        $voicing = $names === [] ? null : (new VoicingFinder($neck))->voicing($names[0]->chord, $request->frets());

        return new JsonResponse([
            'names' => array_map(ChordNameResource::of(...), $names),
            'voicing' => $voicing === null ? null : VoicingResource::of($voicing, $neck),
        ]);
    }
}
