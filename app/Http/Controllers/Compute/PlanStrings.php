<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Compute\VoicedForms;
use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use App\Http\Resources\StringsPlanResource;
use Gravik\Neck\Finder\CapoPlan;
use Gravik\Neck\RetunePlan;
use Gravik\Neck\Tuning;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class PlanStrings extends Controller
{
    #[OA\Post(path: '/api/compute/strings-plan', summary: 'How to retune for the tune, and where a capo would make its chords open grips',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'from', description: 'the tuning the guitar is in; standard where nothing is said', type: 'string'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(ref: '#/components/schemas/StringsPlan'),
    )])]
    public function __invoke(DocumentRequest $request, VoicedForms $voiced): JsonResponse
    {
        $desk = $request->desk();
        $breakdown = $desk->breakdown;
        $tuning = $breakdown->neck->tuning;
        $from = $request->filled('from') ? Tuning::parse($request->string('from')->toString()) : RetunePlan::usual($tuning);
        $chords = $breakdown->written()->differentChords();
        $retune = (new RetunePlan())->plan($from, $tuning, $voiced->of($breakdown, $desk->line())->stringsUsed());

        return new JsonResponse(StringsPlanResource::of($retune, (new CapoPlan())->choices($breakdown->start->key, $chords), $chords));
    }
}
