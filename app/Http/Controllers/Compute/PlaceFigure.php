<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\FigureRequest;
use Gravik\Breakdown\Change\FigurePlacer;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Formats\BreakdownJson;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class PlaceFigure extends Controller
{
    #[OA\Post(path: '/api/compute/place-figure', summary: 'The document with a figure it has played at a place, or none any more',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document', 'bar'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'pass', type: 'string', nullable: true),
        new OA\Property(property: 'section', type: 'string', nullable: true),
        new OA\Property(property: 'ending', type: 'integer', nullable: true),
        new OA\Property(property: 'bar', description: 'of the section\'s line or of its ending, from 0', type: 'integer'),
        new OA\Property(property: 'id', description: 'of the figure; null to play none there', type: 'string', nullable: true),
        new OA\Property(property: 'passes', type: 'array', items: new OA\Items(type: 'string'), nullable: true),
        new OA\Property(property: 'instead', type: 'boolean'),
        new OA\Property(property: 'octave', type: 'integer'),
        new OA\Property(
            property: 'near',
            description: 'fret of the hand; where the grip is where none is said',
            type: 'integer',
            nullable: true,
        ),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(required: ['document'], properties: [new OA\Property(property: 'document', type: 'object')]),
    )])]
    public function __invoke(FigureRequest $request, BreakdownJson $json): JsonResponse
    {
        $breakdown = $request->breakdown();
        $id = $request->named('id');
        $document = $id === null
            ? (new FigurePlacer())->clear($breakdown, $request->place(), $request->passes())
            : (new FigurePlacer())->place($breakdown, new PlacedFigure(
                $breakdown->figure($id),
                $request->place(),
                $request->passes(),
                instead: $request->boolean('instead', true),
                octave: $request->integer('octave'),
                near: $request->near(),
            ));

        return new JsonResponse(['document' => $json->write($document)]);
    }
}
