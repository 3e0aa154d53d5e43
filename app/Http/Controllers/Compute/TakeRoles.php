<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Compute\VoicedForms;
use App\Http\Controllers\Controller;
use App\Http\Requests\BandRequest;
use Gravik\Ensemble\Heard;
use Gravik\Ensemble\RoleAdviser;
use Gravik\Ensemble\Support;
use Gravik\Formats\BreakdownJson;
use Gravik\Performance\Performer;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class TakeRoles extends Controller
{
    #[OA\Post(path: '/api/compute/take-roles', summary: 'The document with the roles that are suggested for it',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'support', description: 'what roles are suggested for', type: 'string', enum: Support::class),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(required: ['document'], properties: [new OA\Property(property: 'document', type: 'object')]),
    )])]
    public function __invoke(BandRequest $request, VoicedForms $voiced, RoleAdviser $adviser, BreakdownJson $json): JsonResponse
    {
        $breakdown = $request->breakdown();
        $heard = new Heard($breakdown, (new Performer())->perform($breakdown, null, $voiced->all($breakdown)));

        return new JsonResponse(['document' => $json->write($adviser->take($breakdown, $adviser->suggest($heard, $request->support())))]);
    }
}
