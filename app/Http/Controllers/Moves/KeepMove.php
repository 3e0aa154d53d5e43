<?php

declare(strict_types=1);

namespace App\Http\Controllers\Moves;

use App\Documents\MoveStore;
use App\Http\Controllers\Controller;
use App\Http\Requests\MoveRequest;
use App\Http\Resources\MoveResource;
use App\Models\KeptMove;
use Gravik\Breakdown\Change\BarMover;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class KeepMove extends Controller
{
    private const MOST = 200;

    #[OA\Post(path: '/api/moves', summary: 'Record what a bar plays as a move of your own; the same name again replaces it',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document', 'bar', 'name'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'pass', type: 'string', nullable: true),
        new OA\Property(property: 'section', type: 'string', nullable: true),
        new OA\Property(property: 'ending', type: 'integer', nullable: true),
        new OA\Property(property: 'bar', description: 'of the section\'s line or of its ending, from 0', type: 'integer'),
        new OA\Property(property: 'name', type: 'string'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'kept',
        content: new OA\JsonContent(ref: '#/components/schemas/KeptMove'),
    )])]
    public function __invoke(MoveRequest $request, MoveStore $moves): JsonResponse
    {
        $owner = $this->user($request);
        $name = trim($request->string('name')->toString());
        $others = KeptMove::query()->where('owner_id', $owner->id)->where('name', '!=', $name)->count();
        abort_if($others >= self::MOST, 422, sprintf('You have %d moves. Forget one before you record another.', self::MOST));
        $desk = $request->desk();
        $played = (new BarMover())->playedAt($desk, $request->place());

        return new JsonResponse(MoveResource::of($moves->keep($owner, $desk->breakdown, $played, $name)));
    }
}
