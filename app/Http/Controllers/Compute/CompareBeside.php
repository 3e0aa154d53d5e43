<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Compute\VoicedForms;
use App\Http\Controllers\Controller;
use App\Http\Requests\BesideRequest;
use App\Http\Resources\BesideResource;
use Gravik\Ensemble\Beside;
use Gravik\Ensemble\Heard;
use Gravik\Performance\Performer;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class CompareBeside extends Controller
{
    #[OA\Post(
        path: '/api/compute/beside',
        summary: 'Another\'s part beside the guitar\'s, bar by bar, and what both strike where a section ends',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document', 'onsets'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'tempo', type: 'number', nullable: true),
        new OA\Property(property: 'onsets', description: 'seconds', type: 'array', items: new OA\Items(type: 'number')),
        new OA\Property(
            property: 'offset',
            description: 'seconds at which bar 1 lies among them; found where null',
            type: 'number',
            nullable: true,
        ),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(ref: '#/components/schemas/Beside'),
    )])]
    public function __invoke(BesideRequest $request, VoicedForms $voiced): JsonResponse
    {
        $breakdown = $request->breakdown();
        $heard = new Heard($breakdown, (new Performer())->perform($breakdown, $request->tempo(), $voiced->all($breakdown)));

        return new JsonResponse(BesideResource::of($heard, Beside::of($heard, $request->onsets(), $request->offset())));
    }
}
