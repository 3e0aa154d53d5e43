<?php

declare(strict_types=1);

namespace App\Http\Controllers\Hearings;

use App\Documents\HearingQueue;
use App\Http\Controllers\Controller;
use App\Http\Resources\AskedHearingResource;
use App\Models\AskedHearing;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class ShowHearing extends Controller
{
    #[OA\Get(path: '/api/hearings/{hearing}', summary: 'How far your recording is, and what came of it', parameters: [
        new OA\PathParameter(name: 'hearing', schema: new OA\Schema(type: 'string')),
    ], responses: [
        new OA\Response(response: 200, description: 'so far', content: new OA\JsonContent(ref: '#/components/schemas/AskedHearing')),
    ])]
    public function __invoke(AskedHearing $hearing, HearingQueue $queue): JsonResponse
    {
        return new JsonResponse(AskedHearingResource::of($hearing, $queue->judged($hearing)));
    }
}
