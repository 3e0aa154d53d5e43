<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Breakdown\Breakdown;
use Gravik\Chart\ApproachKind;
use Gravik\Chart\Place;
use Gravik\Chart\PlacedApproach;
use Gravik\Neck\Grip\Voicing;
use Gravik\Time\TimeMap;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'NamedGrip', required: ['symbol', 'voicing'], properties: [
    new OA\Property(property: 'symbol', type: 'string'),
    new OA\Property(property: 'voicing', ref: '#/components/schemas/Voicing'),
])]
#[OA\Schema(schema: 'ApproachOffer', required: ['kind', 'words', 'steps', 'from', 'grips'], properties: [
    new OA\Property(property: 'kind', type: 'string', enum: ApproachKind::class),
    new OA\Property(property: 'words', type: 'string'),
    new OA\Property(property: 'steps', description: 'grips before the chord', type: 'integer'),
    new OA\Property(property: 'from', description: 'where it begins, in words', type: 'string'),
    new OA\Property(property: 'grips', type: 'array', items: new OA\Items(ref: '#/components/schemas/NamedGrip')),
])]
final class ApproachResource
{
    /** @return array<string, mixed> */
    public static function of(Breakdown $breakdown, TimeMap $map, PlacedApproach $approach): array
    {
        return [
            'kind' => $approach->kind->value,
            'words' => $approach->kind->words(),
            'steps' => count($approach->grips),
            'from' => $approach->from($map),
            'grips' => array_map(static fn (Voicing $grip): array => [
                'symbol' => $approach->kind === ApproachKind::OpenStrings ? 'open strings' : $grip->chord->text(),
                'voicing' => VoicingResource::of($grip, $breakdown->neck),
            ], $approach->grips),
        ];
    }

    /** How the hand comes to a chord of the chart, in a few words; null where nothing is laid down. */
    public static function shortly(Breakdown $breakdown, Place $at, ?string $symbol): ?string
    {
        foreach ($breakdown->placed as $placed) {
            if ($placed->at->equals($at) && $placed->symbol === $symbol) {
                return $placed->move->kind->shortly($placed->move->kind->ownSteps() ?? $placed->move->steps);
            }
        }

        return null;
    }
}
