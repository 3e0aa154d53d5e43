<?php

declare(strict_types=1);

namespace App\Http\Controllers\Moves;

use App\Documents\MoveStore;
use App\Http\Controllers\Controller;
use App\Http\Requests\MoveRequest;
use App\Models\KeptMove;
use Gravik\Breakdown\Change\BarMover;
use Gravik\Formats\BreakdownJson;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class PlayMove extends Controller
{
    #[OA\Post(path: '/api/moves/{move}/play', summary: 'The document with a move you recorded played at a bar of one pass',
        parameters: [new OA\Parameter(name: 'move', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document', 'bar'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'pass', type: 'string', nullable: true),
        new OA\Property(property: 'section', type: 'string', nullable: true),
        new OA\Property(property: 'ending', type: 'integer', nullable: true),
        new OA\Property(property: 'bar', description: 'of the section\'s line or of its ending, from 0', type: 'integer'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(required: ['document'], properties: [new OA\Property(property: 'document', type: 'object')]),
    )])]
    public function __invoke(MoveRequest $request, string $move, MoveStore $moves, BreakdownJson $json): JsonResponse
    {
        $kept = KeptMove::query()->where('owner_id', $this->user($request)->id)->findOrFail($move);
        $desk = $request->desk();
        [$song, $figure] = $moves->into($kept, $desk->breakdown);
        $played = (new BarMover())->play($desk, $song, $figure, $request->place());

        return new JsonResponse(['document' => $json->write($played)]);
    }
}
