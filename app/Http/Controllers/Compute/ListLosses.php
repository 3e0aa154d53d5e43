<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Documents\ExportFormat;
use App\Documents\Exports;
use App\Documents\SoundWish;
use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class ListLosses extends Controller
{
    #[OA\Post(path: '/api/compute/losses', summary: 'What a format does not keep of this song, before the file is taken',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document', 'format'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'format', type: 'string'),
    ])), responses: [new OA\Response(response: 200, description: 'in words', content: new OA\JsonContent(required: ['not_kept', 'heard'], properties: [
        new OA\Property(property: 'not_kept', type: 'array', items: new OA\Items(type: 'string')),
        new OA\Property(property: 'heard', description: 'who may be heard in it, where it is sound', type: 'array',
            items: new OA\Items(required: ['id', 'words'], properties: [
            new OA\Property(property: 'id', type: 'string'),
            new OA\Property(property: 'words', type: 'string'),
        ])),
    ]))])]
    public function __invoke(DocumentRequest $request): JsonResponse
    {
        $format = ExportFormat::named($request->string('format')->toString());

        $song = $request->breakdown();

        return new JsonResponse([
            'not_kept' => Exports::notKept($song, $format),
            'heard' => $format === ExportFormat::Wav ? SoundWish::offered($song) : [],
        ]);
    }
}
