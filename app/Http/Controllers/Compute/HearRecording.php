<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Hearings;
use App\Http\Requests\SoundRequest;
use App\Http\Resources\HearingResource;
use Gravik\Formats\TakeFile;
use Gravik\Listening\Hearing\StrokeListener;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class HearRecording extends Controller
{
    private const MOST_BYTES = 4 * 1024 * 1024;

    #[OA\Post(path: '/api/compute/hear',
        summary: 'The strums of a few seconds while they are played, at once; whole recordings wait their turn (hearings)',
        requestBody: new OA\RequestBody(required: true, content: [
        new OA\MediaType(mediaType: 'audio/wav', schema: new OA\Schema(type: 'string', format: 'binary')),
        new OA\MediaType(mediaType: 'audio/midi', schema: new OA\Schema(type: 'string', format: 'binary')),
    ]), responses: [new OA\Response(
        response: 200,
        description: 'heard',
        content: new OA\JsonContent(ref: '#/components/schemas/Hearing'),
    )])]
    public function __invoke(SoundRequest $request, StrokeListener $listener, Hearings $hearings): JsonResponse
    {
        $user = $this->user($request);
        abort_if(strlen($request->getContent()) > self::MOST_BYTES, 413, 'Only a few seconds are heard at once. Open the recording in Listen.');

        return new JsonResponse($hearings->of(
            $user,
            static fn (): array => HearingResource::of(TakeFile::read($request->sound(), $request->soundName(), $listener)),
        ));
    }
}
