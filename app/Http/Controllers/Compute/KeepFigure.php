<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\FigureRequest;
use Gravik\Breakdown\Change\FigureKeeper;
use Gravik\Breakdown\Change\FigurePlacer;
use Gravik\Breakdown\Change\FreeId;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Breakdown\RelativeTo;
use Gravik\Formats\BreakdownJson;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class KeepFigure extends Controller
{
    #[OA\Post(path: '/api/compute/keep-figure', summary: 'The document with a figure as it is typed, played at a place',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document', 'typed', 'bar'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'pass', type: 'string', nullable: true),
        new OA\Property(property: 'section', type: 'string', nullable: true),
        new OA\Property(property: 'ending', type: 'integer', nullable: true),
        new OA\Property(property: 'bar', description: 'of the section\'s line or of its ending, from 0', type: 'integer'),
        new OA\Property(property: 'id', description: 'of the figure it is another wording of', type: 'string', nullable: true),
        new OA\Property(property: 'name', type: 'string', nullable: true),
        new OA\Property(property: 'typed', description: 'one line a stream', type: 'array', items: new OA\Items(type: 'string')),
        new OA\Property(property: 'over', description: 'chord; the one at the place where none is said', type: 'string', nullable: true),
        new OA\Property(property: 'relative_to', type: 'string', enum: RelativeTo::class, nullable: true),
        new OA\Property(property: 'passes', type: 'array', items: new OA\Items(type: 'string'), nullable: true),
        new OA\Property(property: 'instead', type: 'boolean'),
        new OA\Property(
            property: 'parts',
            description: 'ids of those who play it; null for the student\'s guitar alone',
            type: 'array',
            items: new OA\Items(type: 'string'),
            nullable: true,
        ),
        new OA\Property(property: 'octave', type: 'integer'),
        new OA\Property(
            property: 'near',
            description: 'fret of the hand; where the grip is where none is said',
            type: 'integer',
            nullable: true,
        ),
        new OA\Property(
            property: 'fixed',
            description: 'notes whose place is chosen',
            type: 'array',
            items: new OA\Items(ref: '#/components/schemas/FixedNote'),
        ),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(required: ['document'], properties: [new OA\Property(property: 'document', type: 'object')]),
    )])]
    public function __invoke(FigureRequest $request, BreakdownJson $json): JsonResponse
    {
        $desk = $request->desk();
        $breakdown = $desk->breakdown;
        $chord = $desk->chordAt($request->place())->chord ?? $desk->setting->key->tonicTriad();
        $figure = $request->figure($breakdown, $request->named('id') ?? FreeId::after('f', $breakdown->figures), $chord);
        $placed = new PlacedFigure(
            $figure,
            $request->place(),
            $request->passes(),
            instead: $request->boolean('instead', true),
            octave: $request->integer('octave'),
            near: $request->near(),
            fixed: $request->fixed($figure),
            parts: $request->parts(),
        );

        return new JsonResponse(
            ['document' => $json->write((new FigurePlacer())->place((new FigureKeeper())->keep($breakdown, $figure), $placed))],
        );
    }
}
