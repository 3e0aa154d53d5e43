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
    #[OA\Post(path: '/api/compute/hear', summary: 'The strums of a recording or a MIDI file, its outline and its tuning; nothing is kept',
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
        $reached = static fn (float $done) => $hearings->note($user, $done);

        return new JsonResponse($hearings->of(
            $user,
            static fn (): array => HearingResource::of(TakeFile::read($request->sound(), $request->soundName(), $listener, $reached)),
        ));
    }
}
