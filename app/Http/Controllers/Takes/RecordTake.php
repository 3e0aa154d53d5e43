<?php

declare(strict_types=1);

namespace App\Http\Controllers\Takes;

use App\Compute\VoicedForms;
use App\Documents\BreakdownStore;
use App\Documents\TakeStore;
use App\Http\Controllers\Controller;
use App\Http\Requests\TakeRequest;
use App\Http\Resources\TakeResource;
use App\Models\Breakdown;
use Gravik\Listening\Gate;
use Gravik\Listening\LockReporter;
use Gravik\Performance\Performer;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class RecordTake extends Controller
{
    #[OA\Post(path: '/api/breakdowns/{id}/takes', summary: 'Judge and keep a take; the same id twice gives the first one back', parameters: [new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['id', 'tempo', 'bars', 'taps', 'latency_ms'], properties: [
        new OA\Property(property: 'id', type: 'string'),
        new OA\Property(property: 'tempo', type: 'number'),
        new OA\Property(property: 'bars', type: 'integer'),
        new OA\Property(property: 'latency_ms', type: 'number', nullable: true),
        new OA\Property(property: 'taps', type: 'array', items: new OA\Items(required: ['t'], properties: [
            new OA\Property(property: 't', type: 'number'),
            new OA\Property(property: 'key', type: 'string', enum: ['down', 'up']),
        ], type: 'object')),
    ])), responses: [new OA\Response(response: 201, description: 'the take with its report', content: new OA\JsonContent(ref: '#/components/schemas/Take'))])]
    public function __invoke(TakeRequest $request, Breakdown $breakdown, BreakdownStore $store, VoicedForms $voiced, Performer $performer, TakeStore $takes): JsonResponse
    {
        $this->authorize('view', $breakdown);
        $document = $store->document($breakdown);
        $tempo = $request->tempo();
        $timeline = $performer->perform($document, $tempo, $voiced->of($document));
        $gate = new Gate();
        $report = (new LockReporter(gate: $gate))->report($request->take(), $timeline, $document->feel->unit, $request->latencyMs(), $takes->lastCleanTempo($breakdown, $this->user($request)));
        $take = $takes->keep($breakdown, $this->user($request), mb_strtolower($request->string('id')->toString()), $request->integer('bars'), $request->take(), $timeline->ruler, $report);

        return new JsonResponse(TakeResource::of($take, ListTakes::numberOf($take)), 201);
    }
}
