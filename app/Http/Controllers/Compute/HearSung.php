<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Hearings;
use App\Http\Requests\SoundRequest;
use Gravik\Formats\WavSource;
use Gravik\Listening\Hearing\VoiceListener;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class HearSung extends Controller
{
    private const MOST_BYTES = 4 * 1024 * 1024;

    #[OA\Post(path: '/api/compute/sung',
        summary: 'The syllables of a rhythm that was sung or spoken: seconds at which their vowels come in',
        requestBody: new OA\RequestBody(required: true, content: [
        new OA\MediaType(mediaType: 'audio/wav', schema: new OA\Schema(type: 'string', format: 'binary')),
    ]), responses: [new OA\Response(
        response: 200,
        description: 'heard',
        content: new OA\JsonContent(required: ['syllables'], properties: [
            new OA\Property(property: 'syllables', type: 'array', items: new OA\Items(type: 'number')),
        ]),
    )])]
    public function __invoke(SoundRequest $request, VoiceListener $listener, Hearings $hearings): JsonResponse
    {
        $user = $this->user($request);
        abort_if(strlen($request->getContent()) > self::MOST_BYTES, 413, 'Only a few bars are sung at once.');

        return new JsonResponse($hearings->of(
            $user,
            static fn (): array => ['syllables' => array_map(
                static fn (float $t): float => round($t, 4),
                $listener->hear(WavSource::open($request->sound())),
            )],
        ));
    }
}
