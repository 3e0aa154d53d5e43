<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\CellRequest;
use Gravik\Band\Role;
use Gravik\Breakdown\CellField;
use Gravik\Breakdown\Change\CellSetter;
use Gravik\Breakdown\Texture;
use Gravik\Formats\BreakdownJson;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class SetCell extends Controller
{
    #[OA\Post(path: '/api/compute/cell', summary: 'The document with something different for a part in a pass, some of its sections, times or bars',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'pass', description: 'id; null for every pass', type: 'string', nullable: true),
        new OA\Property(property: 'part', description: 'id; the guitar where none is named', type: 'string', nullable: true),
        new OA\Property(property: 'section', description: 'id; null for all', type: 'string', nullable: true),
        new OA\Property(
            property: 'bars',
            description: 'of the section, from 0; null for all',
            type: 'array',
            items: new OA\Items(type: 'integer'),
            nullable: true,
        ),
        new OA\Property(property: 'role', type: 'string', enum: Role::class, nullable: true),
        new OA\Property(property: 'pattern', description: 'id', type: 'string', nullable: true),
        new OA\Property(property: 'line', description: 'id of a line of grips', type: 'string', nullable: true),
        new OA\Property(property: 'level', type: 'integer', nullable: true),
        new OA\Property(property: 'texture', type: 'string', enum: Texture::class, nullable: true),
        new OA\Property(property: 'dynamic', description: 'levels louder or softer, -2 to 2', type: 'integer', nullable: true),
        new OA\Property(property: 'note', type: 'string', nullable: true),
        new OA\Property(
            property: 'as_above',
            description: 'what is not to be different there any more',
            type: 'array',
            items: new OA\Items(type: 'string', enum: CellField::class),
        ),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(required: ['document'], properties: [new OA\Property(property: 'document', type: 'object')]),
    )])]
    public function __invoke(CellRequest $request, BreakdownJson $json): JsonResponse
    {
        $breakdown = $request->breakdown();
        $set = (new CellSetter())->set($breakdown, $request->named('pass'), $request->cell($breakdown), $request->asAbove());

        return new JsonResponse(['document' => $json->write($set)]);
    }
}
