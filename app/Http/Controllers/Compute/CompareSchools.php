<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use App\Http\Resources\HandResource;
use Gravik\Strokes\Hand\SchoolInUse;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class CompareSchools extends Controller
{
    #[OA\Post(path: '/api/compute/schools', summary: 'What each picking school makes of the pattern',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'tempo', type: 'number', nullable: true),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/SchoolInUse')),
    )])]
    public function __invoke(DocumentRequest $request): JsonResponse
    {
        $desk = $request->desk();
        $ruler = $desk->ruler($request->tempo());

        return new JsonResponse(array_map(
            static fn (SchoolInUse $use): array => HandResource::school($use, $ruler),
            SchoolInUse::all($desk->pattern(), $desk->school(), $ruler, $desk->setting->feel),
        ));
    }
}
