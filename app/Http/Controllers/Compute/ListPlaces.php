<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use Gravik\Band\Role;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Pass;
use Gravik\Chart\Section;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'SongPlace', required: [
    'pass',
    'pass_name',
    'section',
    'section_name',
    'pattern',
    'line',
    'level',
    'role',
    'meter',
], properties: [
    new OA\Property(property: 'pass', type: 'string'),
    new OA\Property(property: 'pass_name', type: 'string'),
    new OA\Property(property: 'section', type: 'string'),
    new OA\Property(property: 'section_name', type: 'string'),
    new OA\Property(property: 'pattern', description: 'that the guitar plays there', type: 'string'),
    new OA\Property(property: 'line', description: 'of grips that it plays there', type: 'string'),
    new OA\Property(property: 'level', type: 'integer'),
    new OA\Property(property: 'role', type: 'string', enum: Role::class),
    new OA\Property(property: 'meter', type: 'string'),
])]
final class ListPlaces extends Controller
{
    #[OA\Post(path: '/api/compute/places', summary: 'Every section of every pass, and what the guitar plays there',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/SongPlace')),
    )])]
    public function __invoke(DocumentRequest $request): JsonResponse
    {
        $breakdown = $request->breakdown();
        $places = array_map(
            static fn (Pass $pass): array => array_map(
                static fn (Section $section): array => self::place($breakdown, $pass, $section),
                $breakdown->sections,
            ),
            $breakdown->passes,
        );

        return new JsonResponse(array_merge(...$places));
    }

    /** @return array<string, mixed> */
    private static function place(Breakdown $breakdown, Pass $pass, Section $section): array
    {
        $playing = $breakdown->cellFor($pass->id, $section->id, $breakdown->guitar()->id);

        return [
            'pass' => $pass->id,
            'pass_name' => $pass->name,
            'section' => $section->id,
            'section_name' => $section->name,
            'pattern' => $playing->pattern->id,
            'line' => $playing->line->id,
            'level' => $playing->level,
            'role' => $playing->role->value,
            'meter' => $section->setting($breakdown->start)->meter->text(),
        ];
    }
}
