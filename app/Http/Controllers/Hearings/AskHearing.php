<?php

declare(strict_types=1);

namespace App\Http\Controllers\Hearings;

use App\Documents\HearingQueue;
use App\Http\Controllers\Controller;
use App\Http\Requests\SoundRequest;
use App\Http\Resources\AskedHearingResource;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class AskHearing extends Controller
{
    #[OA\Post(path: '/api/hearings', summary: 'Have a recording or a MIDI file heard in its turn; nothing of it is kept',
        requestBody: new OA\RequestBody(required: true, content: [
        new OA\MediaType(mediaType: 'audio/wav', schema: new OA\Schema(type: 'string', format: 'binary')),
        new OA\MediaType(mediaType: 'audio/midi', schema: new OA\Schema(type: 'string', format: 'binary')),
    ]), responses: [
        new OA\Response(response: 201, description: 'heard', content: new OA\JsonContent(ref: '#/components/schemas/AskedHearing')),
        new OA\Response(response: 202, description: 'waits its turn', content: new OA\JsonContent(ref: '#/components/schemas/AskedHearing')),
    ])]
    public function __invoke(SoundRequest $request, HearingQueue $queue): JsonResponse
    {
        $hearing = $queue->listen($this->user($request), $request->getContent(true), $request->soundName());

        return AskedHearingResource::answer($hearing, null);
    }
}
