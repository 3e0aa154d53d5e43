<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Documents\Handouts;
use App\Http\Controllers\Controller;
use App\Http\Requests\HandoutRequest;
use Gravik\Handout\Page;
use Gravik\Handout\Paper;
use Gravik\Handout\Part;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class LayOutHandout extends Controller
{
    #[OA\Post(path: '/api/compute/handout', summary: 'The page for the music stand, side by side',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(
            property: 'parts',
            description: 'that stand on it, in order, separated by commas; all where it is missing',
            type: 'string',
        ),
        new OA\Property(property: 'paper', type: 'string', enum: Paper::class),
        new OA\Property(property: 'large', type: 'boolean'),
        new OA\Property(property: 'left_handed', type: 'boolean'),
        new OA\Property(property: 'high_on_top', type: 'boolean'),
        new OA\Property(property: 'for', description: 'whose page it is', type: 'string', nullable: true),
        new OA\Property(property: 'hand_bars', type: 'integer', enum: [1, 2, 4]),
        new OA\Property(property: 'names', description: 'false: shapes only', type: 'boolean'),
    ])), responses: [new OA\Response(response: 200, description: 'laid out',
        content: new OA\JsonContent(required: ['pages', 'parts'], properties: [
        new OA\Property(
            property: 'pages',
            description: 'each an SVG of the paper’s size',
            type: 'array',
            items: new OA\Items(type: 'string'),
        ),
        new OA\Property(property: 'parts', description: 'that there are', type: 'array', items: new OA\Items(required: ['part', 'words', 'shows'], properties: [
            new OA\Property(property: 'part', type: 'string', enum: Part::class),
            new OA\Property(property: 'words', type: 'string'),
            new OA\Property(property: 'shows', type: 'string'),
        ], type: 'object')),
    ]))])]
    public function __invoke(HandoutRequest $request, Handouts $handouts): JsonResponse
    {
        return new JsonResponse([
            'pages' => array_map(static fn (Page $page): string => $page->svg, $handouts->pages($request->breakdown(), $request->wishes())),
            'parts' => array_map(
                static fn (Part $part): array => ['part' => $part->value, 'words' => $part->words(), 'shows' => $part->shows()],
                Part::cases(),
            ),
        ]);
    }
}
