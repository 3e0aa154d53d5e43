<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Http\Controllers\Controller;
use App\Http\Requests\TuneRequest;
use Gravik\Breakdown\Change\TuneSetter;
use Gravik\Formats\BreakdownJson;
use Gravik\Formats\MidiTune;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class LayTune extends Controller
{
    #[OA\Post(path: '/api/compute/lay-tune', summary: 'The document with a track of a MIDI file as the tune of its lead',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(
            required: ['document', 'part', 'name', 'midi'],
            properties: [
                new OA\Property(property: 'document', type: 'object'),
                new OA\Property(property: 'part', description: 'id', type: 'string'),
                new OA\Property(property: 'name', type: 'string'),
                new OA\Property(property: 'midi', description: 'the file in base 64', type: 'string'),
                new OA\Property(
                    property: 'track',
                    description: 'number in the file; null for what is most a melody',
                    type: 'integer',
                    nullable: true,
                ),
            ],
        )), responses: [new OA\Response(
            response: 200,
            description: 'computed',
            content: new OA\JsonContent(required: ['document', 'track', 'tracks'], properties: [
                new OA\Property(property: 'document', type: 'object'),
                new OA\Property(property: 'track', description: 'that it plays now', type: 'integer'),
                new OA\Property(property: 'tracks', type: 'array', items: new OA\Items(
                    required: ['number', 'notes', 'lowest', 'highest'],
                    properties: [
                        new OA\Property(property: 'number', type: 'integer'),
                        new OA\Property(property: 'notes', type: 'integer'),
                        new OA\Property(property: 'lowest', type: 'string'),
                        new OA\Property(property: 'highest', type: 'string'),
                    ],
                    type: 'object',
                )),
            ]),
        )])]
    public function __invoke(TuneRequest $request, BreakdownJson $json): JsonResponse
    {
        $breakdown = $request->breakdown();
        $start = $breakdown->start;
        $read = MidiTune::read(
            $request->midi(),
            $request->string('name')->toString(),
            $start->meter,
            $start->feel->swings($start->tempo),
            $request->track(),
        );

        return new JsonResponse([
            'document' => $json->write((new TuneSetter())->set($breakdown, $request->string('part')->toString(), $read->tune)),
            'track' => $read->track,
            'tracks' => array_map(static fn (int $number, array $track): array => [
                'number' => $number,
                'notes' => $track['notes'],
                'lowest' => $start->key->noteWords($track['lowest']),
                'highest' => $start->key->noteWords($track['highest']),
            ], array_keys($read->tracks), $read->tracks),
        ]);
    }
}
