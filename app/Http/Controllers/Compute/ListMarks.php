<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use Gravik\Breakdown\Mark;
use Gravik\Breakdown\MarkKind;
use Gravik\Breakdown\MarkReader;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class ListMarks extends Controller
{
    #[OA\Post(path: '/api/compute/marks', summary: 'The marks of a document in words, each with the value it stands on',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
    ])), responses: [new OA\Response(response: 200, description: 'in the order of the document',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(required: [
            'place',
            'is',
            'words',
            'value',
            'other',
            'note',
        ], properties: [
        new OA\Property(property: 'place', description: 'what it stands on; null where that is gone', type: 'string', nullable: true),
        new OA\Property(property: 'is', type: 'string', enum: MarkKind::class),
        new OA\Property(property: 'words', type: 'string'),
        new OA\Property(property: 'value', type: 'string'),
        new OA\Property(property: 'other', description: 'what else it may be', type: 'string'),
        new OA\Property(property: 'note', type: 'string'),
    ], type: 'object')))])]
    public function __invoke(DocumentRequest $request): JsonResponse
    {
        $breakdown = $request->breakdown();
        $reader = new MarkReader($breakdown);

        return new JsonResponse(array_map(static fn (Mark $mark): array => [
            'place' => $reader->place($mark),
            'is' => $mark->is->value,
            'words' => $mark->is->words(),
            'value' => $reader->value($mark),
            'other' => $mark->other,
            'note' => $mark->note,
        ], $breakdown->marks));
    }
}
