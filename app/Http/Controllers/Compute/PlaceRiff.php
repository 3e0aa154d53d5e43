<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use App\Http\Resources\MelodyResource;
use Gravik\Neck\Melody\RiffPlace;
use Gravik\Neck\Melody\RiffPlanner;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class PlaceRiff extends Controller
{
    #[OA\Post(path: '/api/compute/riff', summary: 'A figure in other registers, and where it goes for IV and V',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'figure', description: 'string and fret of each note, such as 6:3 5:2 5:5', type: 'string'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/RiffPlace')),
    )])]
    public function __invoke(DocumentRequest $request): JsonResponse
    {
        $desk = $request->desk();
        $planner = new RiffPlanner($desk->breakdown->neck);

        return new JsonResponse(array_map(
            static fn (RiffPlace $place): array => MelodyResource::place($place, $desk->setting->meter),
            $planner->places($planner->parse($request->string('figure')->toString())),
        ));
    }
}
