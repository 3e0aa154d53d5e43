<?php

declare(strict_types=1);

namespace App\Http\Controllers\Profiles;

use App\Http\Controllers\Controller;
use App\Http\Requests\ProfileRequest;
use App\Http\Resources\ProfileResource;
use App\Models\KeptProfile;
use Gravik\Breakdown\Change\ProfileMaker;
use Gravik\Formats\BreakdownJson;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class KeepProfile extends Controller
{
    private const MOST = 100;

    #[OA\Post(
        path: '/api/profiles',
        summary: 'Keep what a place of a breakdown plays as a genre word of your own; the same word again replaces it',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document', 'name'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'pass', type: 'string', nullable: true),
        new OA\Property(property: 'section', type: 'string', nullable: true),
        new OA\Property(property: 'name', type: 'string'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'kept',
        content: new OA\JsonContent(ref: '#/components/schemas/KeptProfile'),
    )])]
    public function __invoke(ProfileRequest $request, BreakdownJson $json): JsonResponse
    {
        $owner = $this->user($request);
        $name = trim($request->string('name')->toString());
        $others = KeptProfile::query()->where('owner_id', $owner->id)->where('name', '!=', $name)->count();
        abort_if($others >= self::MOST, 422, sprintf('You have %d words of your own. Forget one before you keep another.', self::MOST));
        $profile = (new ProfileMaker())->of($request->desk(), $name);

        return new JsonResponse(ProfileResource::of(KeptProfile::query()->updateOrCreate(
            ['owner_id' => $owner->id, 'name' => $name],
            ['document' => $json->write($profile)],
        )));
    }
}
