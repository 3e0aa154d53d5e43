<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\PartRequest;
use Gravik\Band\Instrument;
use Gravik\Breakdown\Change\PartSetter;
use Gravik\Formats\BreakdownJson;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class AddPart extends Controller
{
    #[OA\Post(path: '/api/compute/add-part', summary: 'The document with one more in the band',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document', 'instrument'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'instrument', type: 'string', enum: Instrument::class),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(required: ['document'], properties: [new OA\Property(property: 'document', type: 'object')]),
    )])]
    public function __invoke(PartRequest $request, BreakdownJson $json): JsonResponse
    {
        return new JsonResponse(['document' => $json->write((new PartSetter())->add($request->breakdown(), $request->instrument()))]);
    }
}
