<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Compute\VoicedForms;
use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use App\Http\Resources\PathResource;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class FindPath extends Controller
{
    #[OA\Post(path: '/api/compute/path', summary: 'A grip for every chord of the form',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(
            property: 'elsewhere',
            description: 'the same line in a second place on the neck, pins left aside',
            type: 'boolean',
        ),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(ref: '#/components/schemas/Path'),
    )])]
    public function __invoke(DocumentRequest $request, VoicedForms $voiced): JsonResponse
    {
        $desk = $request->desk();
        $first = $voiced->of($desk->breakdown, $desk->line());

        $line = $request->boolean('elsewhere') ? $desk->tools()->voicer()->elsewhere($first) : $first;

        return new JsonResponse(PathResource::of($desk, $line));
    }
}
