<?php

declare(strict_types=1);

namespace App\Http\Controllers\Ears;

use App\Http\Controllers\Controller;
use App\Models\Breakdown;
use App\Models\Ear;
use Gravik\Lesson\Steps\Flaw;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class ListEars extends Controller
{
    #[OA\Get(path: '/api/breakdowns/{id}/ears', summary: 'How often one told the right playing from the flawed one', parameters: [
        new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'string')),
    ], responses: [new OA\Response(response: 200, description: 'by flaw', content: new OA\JsonContent(required: ['items'], properties: [
        new OA\Property(property: 'items', type: 'array', items: new OA\Items(required: ['flaw', 'heard', 'right'], properties: [
            new OA\Property(property: 'flaw', type: 'string', enum: Flaw::class),
            new OA\Property(property: 'heard', type: 'integer'),
            new OA\Property(property: 'right', type: 'integer'),
        ], type: 'object')),
    ]))])]
    public function __invoke(Request $request, Breakdown $breakdown): JsonResponse
    {
        $own = Ear::query()->where('breakdown_id', $breakdown->id)->where('user_id', $this->user($request)->id)->get(['flaw', 'was_right']);

        return new JsonResponse(['items' => $own->groupBy(static fn (Ear $ear): string => $ear->flaw->value)->map(
            static fn ($ears, string $flaw): array => [
                'flaw' => $flaw,
                'heard' => $ears->count(),
                'right' => $ears->where('was_right', true)->count(),
            ],
        )->values()->all()]);
    }
}
