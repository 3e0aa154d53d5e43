<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use App\Http\Resources\RemarkResource;
use Gravik\Breakdown\Proofreader;
use Gravik\Breakdown\Remark;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class Proofread extends Controller
{
    #[OA\Post(path: '/api/compute/proofread', summary: 'What may be a slip, with the nearest fixes; nothing is changed',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Remark')),
    )])]
    public function __invoke(DocumentRequest $request, Proofreader $proofreader): JsonResponse
    {
        $breakdown = $request->breakdown();

        return new JsonResponse(array_map(
            static fn (Remark $remark): array => RemarkResource::of($breakdown, $remark),
            $proofreader->read($breakdown),
        ));
    }
}
