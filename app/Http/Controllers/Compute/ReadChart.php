<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use App\Http\Resources\ChartResource;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class ReadChart extends Controller
{
    #[OA\Post(path: '/api/compute/chart', summary: 'Read the typed chord lines',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'tempo', type: 'number', nullable: true),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(ref: '#/components/schemas/Chart'),
    )])]
    public function __invoke(DocumentRequest $request): JsonResponse
    {
        return new JsonResponse(ChartResource::of($request->breakdown()));
    }
}
