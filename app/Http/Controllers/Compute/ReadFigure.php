<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Compute\VoicedForms;
use App\Http\Controllers\Controller;
use App\Http\Requests\FigureRequest;
use App\Http\Resources\FigureResource;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Breakdown\RelativeTo;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class ReadFigure extends Controller
{
    #[OA\Post(path: '/api/compute/figure', summary: 'A figure as it is typed, laid out where it is to be played',
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
        new OA\Property(property: 'octave', type: 'integer'),
        new OA\Property(property: 'instead', description: 'of the strokes there, or over them', type: 'boolean'),
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
        new OA\Property(property: 'rhythm', description: 'counted, that the first line gets', type: 'string', nullable: true),
        new OA\Property(property: 'punctuate', description: 'whether the second line puts chords where the first rests', type: 'boolean'),
        new OA\Property(
            property: 'exchange',
            description: 'ticks between which the lines change places',
            required: ['from', 'until'],
            properties: [new OA\Property(property: 'from', type: 'integer'), new OA\Property(property: 'until', type: 'integer')],
            type: 'object',
            nullable: true,
        ),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(ref: '#/components/schemas/LaidFigure'),
    )])]
    public function __invoke(FigureRequest $request, VoicedForms $voiced): JsonResponse
    {
        $desk = $request->desk();
        $breakdown = $desk->breakdown;
        $there = $desk->chordAt($request->place());
        $chord = $there->chord ?? $desk->setting->key->tonicTriad();
        $figure = $request->figure($breakdown, $request->named('id') ?? 'typed', $chord);
        $grip = $desk->gripAt($request->place(), $voiced->of($breakdown, $desk->line()));
        $placed = new PlacedFigure(
            $figure,
            $request->place(),
            instead: $request->boolean('instead', true),
            octave: $request->integer('octave'),
            near: $request->near(),
            fixed: $request->fixed($figure),
        );

        return new JsonResponse(FigureResource::of($placed, $breakdown->neck, $chord, $desk->setting->key, $grip));
    }
}
