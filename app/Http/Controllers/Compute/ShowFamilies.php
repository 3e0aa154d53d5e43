<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use App\Http\Resources\FamilyResource;
use App\Http\Resources\VoicingResource;
use Gravik\Neck\Failure\GripNotReadable;
use Gravik\Neck\Finder\Enricher;
use Gravik\Neck\Finder\Enrichment;
use Gravik\Neck\Grip\GripNamer;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\Line\FamilyPlanner;
use Gravik\Neck\Line\FamilyRoute;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class ShowFamilies extends Controller
{
    #[OA\Post(path: '/api/compute/families',
        summary: 'From one grip: I, IV and V of its family and others, its place in other families, and the notes it can take on top',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'symbol', type: 'string'),
        new OA\Property(property: 'frets', description: 'low to high, such as x 3 2 3 3 x', type: 'string'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(ref: '#/components/schemas/Families'),
    )])]
    public function __invoke(DocumentRequest $request): JsonResponse
    {
        $desk = $request->desk();
        $breakdown = $desk->breakdown;
        $neck = $breakdown->neck;
        $finder = $desk->tools()->finder();
        $chord = $breakdown->start->reader()->chord($request->string('symbol')->toString());
        $typed = $request->string('frets')->toString();
        $grip = $finder->voicing($chord, GripNamer::parse($typed, $neck->tuning->strings()))
            ?? throw new GripNotReadable($typed, $neck->tuning->strings());
        $families = new FamilyPlanner($neck, $finder, $breakdown->start->key);

        return new JsonResponse([
            'routes' => array_map(static fn (FamilyRoute $route): array => FamilyResource::route($route, $neck), $families->routes($grip)),
            'swaps' => array_map(
                static fn (Voicing $voicing): array => VoicingResource::of($voicing, $neck),
                array_values($families->inOtherFamilies($grip)),
            ),
            'enrich' => array_map(static fn (Enrichment $each): array => [
                'string' => $each->string,
                'fret' => $each->fret,
                'degree' => $each->degree,
                'fights' => $each->fights,
                'voicing' => VoicingResource::of($each->voicing, $neck),
            ],
                (new Enricher($neck, $finder, $desk->line()->company))->of($grip, $breakdown->start->key)),
        ]);
    }
}
