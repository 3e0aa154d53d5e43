<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Hearings;
use App\Http\Requests\HummedRequest;
use Gravik\Formats\WavSource;
use Gravik\Listening\Hearing\MelodyListener;
use Gravik\Listening\Tapped\SungMelody;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class HearHummed extends Controller
{
    private const MOST_BYTES = 4 * 1024 * 1024;

    #[OA\Post(path: '/api/compute/hummed',
        summary: 'A melody that was hummed or whistled over a click, as it is typed',
        parameters: [
            new OA\QueryParameter(
                name: 'first_beat',
                description: 'seconds of bar 1 beat 1',
                required: true,
                schema: new OA\Schema(type: 'number'),
            ),
            new OA\QueryParameter(name: 'tempo', required: true, schema: new OA\Schema(type: 'number')),
            new OA\QueryParameter(name: 'meter', required: true, schema: new OA\Schema(type: 'string')),
            new OA\QueryParameter(name: 'key', required: true, schema: new OA\Schema(type: 'string')),
        ],
        requestBody: new OA\RequestBody(required: true, content: [
        new OA\MediaType(mediaType: 'audio/wav', schema: new OA\Schema(type: 'string', format: 'binary')),
    ]), responses: [new OA\Response(
        response: 200,
        description: 'heard',
        content: new OA\JsonContent(required: ['melody'], properties: [
            new OA\Property(property: 'melody', description: 'bar by bar: "D4 F4 | A4"', type: 'string'),
        ]),
    )])]
    public function __invoke(HummedRequest $request, MelodyListener $listener, Hearings $hearings): JsonResponse
    {
        $user = $this->user($request);
        abort_if(strlen($request->getContent()) > self::MOST_BYTES, 413, 'Only a few bars are sung at once.');

        return new JsonResponse($hearings->of(
            $user,
            static fn (): array => ['melody' => SungMelody::typed(
                $listener->hear(WavSource::open($request->sound())),
                $request->meter(),
                $request->tempo(),
                $request->float('first_beat'),
                $request->key(),
            )],
        ));
    }
}
