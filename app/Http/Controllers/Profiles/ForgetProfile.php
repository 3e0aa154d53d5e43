<?php

declare(strict_types=1);

namespace App\Http\Controllers\Profiles;

use App\Http\Controllers\Controller;
use App\Models\KeptProfile;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class ForgetProfile extends Controller
{
    #[OA\Delete(
        path: '/api/profiles/{profile}',
        summary: 'Forget a genre word of your own; breakdowns that began from it stay as they are',
        parameters: [new OA\Parameter(name: 'profile', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(response: 204, description: 'gone')],
    )]
    public function __invoke(Request $request, string $profile): JsonResponse
    {
        KeptProfile::query()->where('owner_id', $this->user($request)->id)->findOrFail($profile)->delete();

        return new JsonResponse(null, 204);
    }
}
