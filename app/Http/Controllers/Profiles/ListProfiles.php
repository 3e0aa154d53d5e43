<?php

declare(strict_types=1);

namespace App\Http\Controllers\Profiles;

use App\Http\Controllers\Controller;
use App\Http\Resources\ProfileResource;
use App\Models\KeptProfile;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class ListProfiles extends Controller
{
    #[OA\Get(path: '/api/profiles', summary: 'Genre words of your own, by name', responses: [new OA\Response(
        response: 200,
        description: 'profiles',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/KeptProfile')),
    )])]
    public function __invoke(Request $request): JsonResponse
    {
        $kept = KeptProfile::query()
            ->where('owner_id', $this->user($request)->id)
            ->get()
            ->sortBy('name', SORT_NATURAL | SORT_FLAG_CASE)
            ->values();

        return new JsonResponse($kept->map(ProfileResource::of(...))->all());
    }
}
