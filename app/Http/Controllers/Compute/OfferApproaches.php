<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Compute\VoicedForms;
use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use App\Http\Resources\ApproachResource;
use Gravik\Breakdown\Toolbox;
use Gravik\Chart\ApproachKind;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class OfferApproaches extends Controller
{
    #[OA\Post(path: '/api/compute/approaches', summary: 'Ways of coming to one chord of the form, with their grips and where they begin', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'chord', description: 'which of the form, from 0', type: 'integer'),
        new OA\Property(property: 'steps', type: 'integer'),
        new OA\Property(property: 'slot_ticks', type: 'integer'),
    ])), responses: [new OA\Response(response: 200, description: 'computed', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/ApproachOffer')))])]
    public function __invoke(DocumentRequest $request, VoicedForms $voiced): JsonResponse
    {
        $breakdown = $request->breakdown();
        $form = $voiced->of($breakdown);
        $target = $request->integer('chord');
        abort_unless(isset($form->form->chords[$target]), 404);
        $approacher = Toolbox::of($breakdown)->approacher();
        [$steps, $slotTicks] = [$request->integer('steps'), $request->integer('slot_ticks')];
        $place = static fn (ApproachKind $kind) => $approacher->place($form, $target, $kind, $steps, $slotTicks);
        $placed = array_map($place, ApproachKind::cases());

        return new JsonResponse(array_map(static fn ($approach): array => ApproachResource::of($breakdown, $approach), array_values(array_filter($placed))));
    }
}
