<?php

declare(strict_types=1);

namespace App\Http\Controllers\Takes;

use App\Http\Controllers\Controller;
use App\Http\Hearings;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class ShowHearing extends Controller
{
    #[OA\Get(path: '/api/hearing', summary: 'How far the recording is that is being heard for you',
        responses: [new OA\Response(response: 200, description: 'progress', content: new OA\JsonContent(required: ['done'], properties: [
        new OA\Property(
            property: 'done',
            description: 'share that is heard, 0 to 1; null where none is being heard',
            type: 'number',
            nullable: true,
        ),
    ]))])]
    public function __invoke(Request $request, Hearings $hearings): JsonResponse
    {
        return new JsonResponse(['done' => $hearings->progress($this->user($request))]);
    }
}
