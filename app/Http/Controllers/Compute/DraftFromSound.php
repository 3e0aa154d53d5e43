<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\SketchRequest;
use App\Http\Resources\SketchResource;
use Gravik\Listening\Drafts\Drafter;
use Gravik\Listening\Feel\FeelMeter;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class DraftFromSound extends Controller
{
    #[OA\Post(path: '/api/compute/sketch',
        summary: 'The chords of a recording, and a whole breakdown drafted from it, with how sure each thing is',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: [
            'document',
            'strokes',
            'notes',
            'company',
        ], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'strokes', type: 'array', items: new OA\Items(ref: '#/components/schemas/HeardStroke')),
        new OA\Property(property: 'beats', type: 'array', items: new OA\Items(type: 'number')),
        new OA\Property(property: 'notes', description: 'as they were heard', type: 'string'),
        new OA\Property(property: 'company', description: 'who has the bass', type: 'string', enum: ['alone', 'with-bass']),
        new OA\Property(property: 'key', description: 'where it is known', type: 'string', nullable: true),
        new OA\Property(property: 'meter', type: 'string', nullable: true),
        new OA\Property(property: 'tempo', type: 'number', nullable: true),
        new OA\Property(property: 'first_beat', type: 'number', nullable: true),
        new OA\Property(property: 'grid', type: 'integer', nullable: true),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'drafted',
        content: new OA\JsonContent(ref: '#/components/schemas/Sketch'),
    )])]
    public function __invoke(SketchRequest $request, FeelMeter $meter, Drafter $drafter): JsonResponse
    {
        $desk = $request->desk();

        return new JsonResponse(SketchResource::of(
            $drafter->draft(
                $request->reading($meter, $desk),
                $request->notes(),
                $desk->breakdown,
                $request->company(),
                $request->key(),
            ),
        ));
    }
}
