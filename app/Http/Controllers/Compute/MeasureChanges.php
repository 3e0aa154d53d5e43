<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Compute\VoicedForms;
use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use App\Http\Resources\ChangeResource;
use Gravik\Performance\ChangeRepairs;
use Gravik\Performance\ChangeWindow;
use Gravik\Performance\ChangeWindows;
use Gravik\Performance\Performer;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class MeasureChanges extends Controller
{
    #[OA\Post(path: '/api/compute/changes',
        summary: 'Every change of grip: the time it needs against the time there is, with repairs where it does not fit',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'tempo', type: 'number', nullable: true),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/GripChange')),
    )])]
    public function __invoke(DocumentRequest $request, VoicedForms $voiced, Performer $performer, ChangeRepairs $repairs): JsonResponse
    {
        $breakdown = $request->breakdown();
        $timeline = $performer->perform($breakdown, $request->tempo(), $voiced->all($breakdown));
        $windows = (new ChangeWindows($breakdown->neck))->different($timeline);

        return new JsonResponse(array_map(
            static fn (ChangeWindow $window): array => ChangeResource::of(
                $breakdown,
                $window,
                $repairs->of($breakdown, $timeline, $window),
            ),
            $windows,
        ));
    }
}
