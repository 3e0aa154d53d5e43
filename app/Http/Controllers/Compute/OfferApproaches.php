<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Compute\VoicedForms;
use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use App\Http\Resources\ApproachResource;
use Gravik\Chart\ApproachKind;
use Gravik\Chart\CourseChord;
use Gravik\Chart\Move;
use Gravik\Chart\PlacedApproach;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class OfferApproaches extends Controller
{
    #[OA\Post(path: '/api/compute/approaches', summary: 'Ways of coming to one chord of the form, with their grips and where they begin',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'chord', description: 'which of the form, from 0', type: 'integer'),
        new OA\Property(property: 'steps', type: 'integer'),
        new OA\Property(property: 'slot_ticks', type: 'integer'),
    ])), responses: [new OA\Response(
        response: 200,
        description: 'computed',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/ApproachOffer')),
    )])]
    public function __invoke(DocumentRequest $request, VoicedForms $voiced): JsonResponse
    {
        $desk = $request->desk();
        $breakdown = $desk->breakdown;
        $form = $voiced->of($breakdown, $desk->line());
        $course = $breakdown->course();
        $target = array_search(
            $request->integer('chord'),
            array_map(static fn (CourseChord $chord): int => $chord->written, $course->chords),
            true,
        );
        if ($target === false) {
            abort(404);
        }
        $approacher = $desk->tools()->approacher();
        $place = static fn (ApproachKind $kind): ?PlacedApproach => $approacher->place(
            $course,
            $form,
            $target,
            new Move('offer', '', $kind, $request->integer('steps'), $request->integer('slot_ticks')),
        );
        $placed = array_map($place, ApproachKind::cases());

        return new JsonResponse(array_map(
            static fn ($approach): array => ApproachResource::of($breakdown, $course->timeMap(), $approach),
            array_values(array_filter($placed)),
        ));
    }
}
