<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use Gravik\Breakdown\Change\TurnaroundFitter;
use Gravik\Formats\BreakdownJson;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class FitTurnaround extends Controller
{
    #[OA\Post(path: '/api/compute/fit-turnaround', summary: 'The document with a turnaround in the last bars of a section',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document', 'section', 'slug'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'section', description: 'its id', type: 'string'),
        new OA\Property(property: 'slug', type: 'string'),
        new OA\Property(property: 'home', description: 'whether it ends on I; else on V', type: 'boolean'),
        new OA\Property(property: 'coloured', description: 'with the colours by which one note stays on top', type: 'boolean'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(required: ['document'], properties: [new OA\Property(property: 'document', type: 'object')]),
    )])]
    public function __invoke(DocumentRequest $request, BreakdownJson $json): JsonResponse
    {
        $fitted = (new TurnaroundFitter())->fit(
            $request->breakdown(),
            $request->string('section')->toString(),
            $request->string('slug')->toString(),
            $request->boolean('home'),
            $request->boolean('coloured'),
        );

        return new JsonResponse(['document' => $json->write($fitted)]);
    }
}
