<?php

declare(strict_types=1);

namespace App\Http\Controllers\Session;

use App\Http\Controllers\Controller;
use App\Http\Requests\NeckViewRequest;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class TurnNeck extends Controller
{
    #[OA\Put(path: '/api/session/neck', summary: 'How this person wants to see necks', requestBody: new OA\RequestBody(
        required: true,
        content: new OA\JsonContent(ref: '#/components/schemas/NeckView'),
    ), responses: [
        new OA\Response(response: 200, description: 'the person', content: new OA\JsonContent(ref: '#/components/schemas/Person')),
    ])]
    public function __invoke(NeckViewRequest $request): JsonResponse
    {
        $user = $this->user($request);
        $user->update(['left_handed' => $request->boolean('left_handed'), 'high_on_top' => $request->boolean('high_on_top')]);

        return new JsonResponse(WhoAmI::person($user));
    }
}
