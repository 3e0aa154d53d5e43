<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use Gravik\Breakdown\Change\Retuner;
use Gravik\Formats\BreakdownJson;
use Gravik\Neck\StatedTuning;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class ConvertTuning extends Controller
{
    #[OA\Post(path: '/api/compute/tuning', summary: 'The document in another tuning, every grip of its line carried over',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'tuning', description: 'a slug, pitches, or words such as whole step down', type: 'string'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(required: ['document'], properties: [new OA\Property(property: 'document', type: 'object')]),
    )])]
    public function __invoke(DocumentRequest $request, BreakdownJson $json): JsonResponse
    {
        $tuning = StatedTuning::parse($request->string('tuning')->toString());

        return new JsonResponse(['document' => $json->write((new Retuner())->retune($request->breakdown(), $tuning))]);
    }
}
