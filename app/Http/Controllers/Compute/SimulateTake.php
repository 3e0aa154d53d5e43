<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Compute\VoicedForms;
use App\Http\Controllers\Controller;
use App\Http\Requests\SimulateRequest;
use App\Http\Resources\LockResource;
use App\Http\Resources\TimelineResource;
use Gravik\Listening\Lock\LockReporter;
use Gravik\Listening\Lock\Take;
use Gravik\Performance\Performer;
use Gravik\Simulation\SimulatedTake;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class SimulateTake extends Controller
{
    #[OA\Post(path: '/api/compute/simulate',
        summary: 'The band with a simulated student in the guitar\'s place, and the report on them; nothing is kept',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document', 'bars'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'tempo', type: 'number', nullable: true),
        new OA\Property(property: 'bars', type: 'integer'),
        new OA\Property(property: 'bias_ms', type: 'number'),
        new OA\Property(property: 'off_beat_ms', type: 'number'),
        new OA\Property(property: 'spread_ms', type: 'number'),
        new OA\Property(property: 'drift_bpm_per_min', type: 'number'),
        new OA\Property(property: 'missed', description: 'share', type: 'number'),
        new OA\Property(property: 'extra', description: 'share', type: 'number'),
        new OA\Property(property: 'seed', type: 'integer'),
    ])), responses: [new OA\Response(response: 200, description: 'played',
        content: new OA\JsonContent(required: ['timeline', 'report'], properties: [
        new OA\Property(property: 'timeline', ref: '#/components/schemas/Timeline'),
        new OA\Property(property: 'report', ref: '#/components/schemas/LockReport'),
    ]))])]
    public function __invoke(SimulateRequest $request, VoicedForms $voiced, Performer $performer, LockReporter $reporter): JsonResponse
    {
        $breakdown = $request->breakdown();
        $timeline = $performer->perform($breakdown, $request->tempo(), $voiced->all($breakdown));
        $player = $request->player();
        $heard = new SimulatedTake($timeline, $player->play($timeline, $timeline->bars()));
        $report = $reporter->report(
            Take::read($player->taps($timeline, $request->integer('bars'))),
            $timeline,
            $breakdown->start->feel->unit,
            0.0,
            bars: $request->integer('bars'),
        );

        return new JsonResponse([
            'timeline' => TimelineResource::of($request->desk(), $request->tempo(), $heard->timeline($breakdown->guitar())),
            'report' => LockResource::of($report),
        ]);
    }
}
