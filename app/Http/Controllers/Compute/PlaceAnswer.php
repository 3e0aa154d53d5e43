<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\FigureRequest;
use Gravik\Breakdown\Change\AnswerPlacer;
use Gravik\Formats\BreakdownJson;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class PlaceAnswer extends Controller
{
    #[OA\Post(
        path: '/api/compute/answer',
        summary: 'The document with a figure, a varied answer and the figure again over some bars of a pass',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(
            required: ['document', 'id', 'bar', 'bars'],
            properties: [
                new OA\Property(property: 'document', type: 'object'),
                new OA\Property(property: 'pass', type: 'string', nullable: true),
                new OA\Property(property: 'section', type: 'string', nullable: true),
                new OA\Property(property: 'ending', type: 'integer', nullable: true),
                new OA\Property(property: 'bar', description: 'of the section\'s line or of its ending, from 0', type: 'integer'),
                new OA\Property(property: 'bars', description: 'from there on', type: 'integer'),
                new OA\Property(property: 'id', description: 'of the figure', type: 'string'),
            ],
        )), responses: [new OA\Response(
            response: 200,
            description: 'computed',
            content: new OA\JsonContent(required: ['document'], properties: [new OA\Property(property: 'document', type: 'object')]),
        )])]
    public function __invoke(FigureRequest $request, BreakdownJson $json): JsonResponse
    {
        $desk = $request->desk();
        $call = $desk->breakdown->figure($request->named('id') ?? '');

        return new JsonResponse(['document' => $json->write((new AnswerPlacer())->place(
            $desk->breakdown,
            $call,
            $request->place(),
            $request->integer('bars'),
            $desk->pass,
        ))]);
    }
}
