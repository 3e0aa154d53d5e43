<?php

declare(strict_types=1);

namespace App\Http\Controllers\Compute;

use App\Compute\VoicedForms;
use App\Http\Controllers\Controller;
use App\Http\Requests\DocumentRequest;
use App\Http\Resources\VoicingResource;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\HandProfile;
use Gravik\Neck\Line\EasierGrip;
use Gravik\Neck\Neck;
use Gravik\Neck\NeckException;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

final class EaseForHand extends Controller
{
    #[OA\Post(path: '/api/compute/easier', summary: 'For each chord whose grip a hand cannot take: why, and an easier one',
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['document', 'hand'], properties: [
        new OA\Property(property: 'document', type: 'object'),
        new OA\Property(property: 'hand', type: 'string'),
    ])), responses: [new OA\Response(response: 200, description: 'computed',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(required: [
        'chord',
        'symbol',
        'why',
        'instead',
        'refusal',
    ], properties: [
        new OA\Property(property: 'chord', description: 'of the form, from 0', type: 'integer'),
        new OA\Property(property: 'symbol', type: 'string'),
        new OA\Property(property: 'why', type: 'string'),
        new OA\Property(property: 'instead', nullable: true, allOf: [new OA\Schema(ref: '#/components/schemas/Voicing')]),
        new OA\Property(property: 'refusal', description: 'why there is none', type: 'string', nullable: true),
    ], type: 'object')))])]
    public function __invoke(DocumentRequest $request, VoicedForms $voiced): JsonResponse
    {
        $desk = $request->desk();
        $hand = HandProfile::parse($request->string('hand', 'medium')->toString());
        $easier = new EasierGrip($desk->tools()->finder($hand), $hand);
        $hard = [];
        foreach ($voiced->of($desk->breakdown, $desk->line())->path->voicings as $place => $grip) {
            $why = $easier->whyNot($grip);
            if ($why !== null) {
                $hard[] = ['chord' => $place, 'symbol' => $grip->chord->text(), 'why' => $why]
                    + self::instead($easier, $grip, $desk->breakdown->neck);
            }
        }

        return new JsonResponse($hard);
    }

    /** @return array{instead: ?array<string, mixed>, refusal: ?string} */
    private static function instead(EasierGrip $easier, Voicing $grip, Neck $neck): array
    {
        try {
            return ['instead' => VoicingResource::of($easier->instead($grip), $neck), 'refusal' => null];
        } catch (NeckException $none) {
            return ['instead' => null, 'refusal' => $none->getMessage()];
        }
    }
}
