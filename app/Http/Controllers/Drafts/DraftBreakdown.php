<?php

declare(strict_types=1);

namespace App\Http\Controllers\Drafts;

use App\Http\Controllers\Controller;
use App\Http\Requests\DraftRequest;
use App\Models\Breakdown;
use Gravik\Formats\BreakdownJson;
use Gravik\Formats\DraftFile;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class DraftBreakdown extends Controller
{
    #[OA\Post(path: '/api/drafts', summary: 'A breakdown drafted from somebody else\'s file; nothing is kept', parameters: [
        new OA\QueryParameter(name: 'name', description: 'of the file; its title where it has none', schema: new OA\Schema(type: 'string')),
    ], requestBody: new OA\RequestBody(required: true, content: [
        new OA\MediaType(mediaType: 'application/octet-stream', schema: new OA\Schema(type: 'string', format: 'binary')),
    ]), responses: [new OA\Response(response: 200, description: 'drafted', content: new OA\JsonContent(
        required: ['document', 'read', 'unread', 'picture'],
        properties: [
            new OA\Property(property: 'document', type: 'object'),
            new OA\Property(property: 'read', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(property: 'unread', description: 'each with its place', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(property: 'picture', description: 'of what stands in the file, an SVG', type: 'string', nullable: true),
        ],
    ))])]
    public function __invoke(DraftRequest $request, BreakdownJson $json): JsonResponse
    {
        $this->authorize('create', Breakdown::class);
        $draft = DraftFile::read($request->bytes(), $request->title());

        return new JsonResponse([
            'document' => $json->write($draft->breakdown),
            'read' => $draft->read,
            'unread' => $draft->unread,
            'picture' => $draft->picture,
        ]);
    }
}
