<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Http\Controllers\Controller;
use App\Http\Requests\PageRequest;
use App\Models\Record;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Record', required: ['id', 'by', 'words', 'about', 'created_at'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'by', type: 'string'),
    new OA\Property(property: 'words', type: 'string'),
    new OA\Property(property: 'about', type: 'string'),
    new OA\Property(property: 'created_at', type: 'string'),
])]
final class ListRecords extends Controller
{
    private const A_PAGE = 60;

    #[OA\Get(path: '/api/records', summary: 'Who came in, was given something or left; for the owner', parameters: [
        new OA\QueryParameter(name: 'cursor', schema: new OA\Schema(type: 'string')),
    ], responses: [new OA\Response(response: 200, description: 'the newest first', content: new OA\JsonContent(required: [
        'items', 'next',
    ], properties: [
        new OA\Property(property: 'items', type: 'array', items: new OA\Items(ref: '#/components/schemas/Record')),
        new OA\Property(property: 'next', description: 'cursor of the next page', type: 'string', nullable: true),
    ]))])]
    public function __invoke(PageRequest $request): JsonResponse
    {
        $this->authorize('own', User::class);
        $page = Record::query()->latest('id')->cursorPaginate(self::A_PAGE, ['*'], 'cursor', $request->cursor('id'));

        return new JsonResponse([
            'items' => array_map(static fn (Record $record): array => [
                'id' => $record->id,
                'by' => $record->by_name,
                'words' => $record->kind->words(),
                'about' => $record->about,
                'created_at' => $record->created_at->toIso8601String(),
            ], $page->items()),
            'next' => $page->nextCursor()?->encode(),
        ]);
    }
}
