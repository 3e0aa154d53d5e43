<?php

declare(strict_types=1);

namespace App\Http\Controllers\People;

use App\Documents\SoundStore;
use App\Http\Controllers\Controller;
use App\Http\Controllers\Session\WhoAmI;
use App\Http\Requests\KeepSoundsRequest;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class KeepSounds extends Controller
{
    #[OA\Put(path: '/api/account/sounds', summary: 'Whether the sound of one’s takes is kept; without it all that was kept is deleted',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['keep'], properties: [
            new OA\Property(property: 'keep', type: 'boolean'),
        ])), responses: [
            new OA\Response(response: 200, description: 'so it is', content: new OA\JsonContent(ref: '#/components/schemas/Person')),
        ])]
    public function __invoke(KeepSoundsRequest $request, SoundStore $sounds): JsonResponse
    {
        $user = $this->user($request);
        $user->update(['keeps_sound' => $request->boolean('keep')]);
        if (! $user->keeps_sound) {
            $sounds->forgetAllOf($user);
        }

        return new JsonResponse(WhoAmI::person($user));
    }
}
