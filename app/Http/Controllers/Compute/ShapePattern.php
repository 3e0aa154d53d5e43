<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use Gravik\Formats\BreakdownJson;
use Gravik\Time\Meter;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class ShapePattern extends Controller
{
    #[OA\Post(path: '/api/compute/shape', summary: 'The document with its pattern on another grid, over other bars or in another meter', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'meter', type: 'string'),
        new OA\Property(property: 'bars', type: 'integer'),
        new OA\Property(property: 'grid', type: 'integer'),
    ])), responses: [new OA\Response(response: 200, description: 'computed', content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
    ]))])]
    public function __invoke(DocumentRequest $request, BreakdownJson $json): JsonResponse
    {
        $breakdown = $request->breakdown();
        $shaped = $breakdown->shaped(
            $request->has('meter') ? Meter::parse($request->string('meter')->toString()) : $breakdown->meter,
            $request->integer('bars', $breakdown->pattern->bars()),
            $request->integer('grid', $breakdown->pattern->grid()),
        );

        return new JsonResponse(['document' => $json->write($shaped)]);
    }
}
