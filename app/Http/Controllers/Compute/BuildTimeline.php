<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Compute\VoicedForms;
use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use App\Http\Resources\TimelineResource;
use Gravik\Performance\Performer;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class BuildTimeline extends Controller
{
    #[OA\Post(path: '/api/compute/timeline', summary: 'The whole form as timed events',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'tempo', type: 'number', nullable: true),
        new OA\Property(property: 'level', description: 'of the guitar\'s pattern, 1 to 3', type: 'integer'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(ref: '#/components/schemas/Timeline'),
    )])]
    public function __invoke(DocumentRequest $request, VoicedForms $voiced, Performer $performer): JsonResponse
    {
        $desk = $request->desk();
        $timeline = $performer->perform($desk->breakdown, $request->tempo(), $voiced->all($desk->breakdown), $request->level());

        return new JsonResponse(TimelineResource::of($desk, $request->tempo(), $timeline));
    }
}
