<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Http\Controllers\Controller;
use App\Models\Invitation;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class ListInvitations extends Controller
{
    #[OA\Get(path: '/api/invitations', summary: 'Links of yours that nobody has used yet', responses: [new OA\Response(
        response: 200,
        description: 'the newest first',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Invitation')),
    )])]
    public function __invoke(Request $request): JsonResponse
    {
        $open = Invitation::query()->with(['group', 'person'])->where('made_by', $this->user($request)->id)
            ->where('used_at', null)->where('expires_at', '>', now())->latest()->latest('id')->get();

        return new JsonResponse($open->map(static fn (Invitation $each): array => MakeInvitation::told($each))->all());
    }
}
