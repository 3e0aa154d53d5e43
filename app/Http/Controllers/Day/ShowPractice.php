<?php

declare(strict_types=1);

namespace App\Http\Controllers\Day;

use App\Http\Controllers\Controller;
use App\Http\Requests\PracticeRequest;
use App\Http\Resources\PracticeResource;
use App\Models\Breakdown;
use App\School\AssignedVersions;
use App\School\PracticeSheet;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class ShowPractice extends Controller
{
    #[OA\Get(path: '/api/breakdowns/{id}/practice', summary: 'All that is needed to practise a stage without a connection', parameters: [
        new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'string')),
        new OA\QueryParameter(name: 'stage', description: 'key; the whole song where none is named', schema: new OA\Schema(type: 'string')),
        new OA\QueryParameter(name: 'tempo', description: 'where its ladder goes on if none is named', schema: new OA\Schema(type: 'number')),
        new OA\QueryParameter(name: 'hurts', description: 'the hand, today', schema: new OA\Schema(type: 'integer', enum: [0, 1])),
    ], responses: [new OA\Response(
        response: 200,
        description: 'the sheet',
        content: new OA\JsonContent(ref: '#/components/schemas/PracticeSheet'),
    )])]
    public function __invoke(PracticeRequest $request, Breakdown $breakdown, AssignedVersions $versions, PracticeSheet $sheet): JsonResponse
    {
        $user = $this->user($request);
        $laid = $sheet->of($versions->seenBy($breakdown, $user), $user, $request->stage(), $request->tempo(), $request->boolean('hurts'));

        return new JsonResponse(PracticeResource::of($laid));
    }
}
