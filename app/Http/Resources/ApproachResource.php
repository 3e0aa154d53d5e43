<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Breakdown\Breakdown;
use Gravik\Chart\ApproachKind;
use Gravik\Chart\Place;
use Gravik\Chart\PlacedApproach;
use Gravik\Neck\Voicing;
use Gravik\Time\TimeMap;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'NamedGrip', required: ['symbol', 'voicing'], properties: [
    new OA\Property(property: 'symbol', type: 'string'),
    new OA\Property(property: 'voicing', ref: '#/components/schemas/Voicing'),
])]
#[OA\Schema(schema: 'ApproachOffer', required: ['kind', 'words', 'steps', 'from', 'grips'], properties: [
    new OA\Property(property: 'kind', type: 'string', enum: ['slide-from-below', 'slide-from-above', 'walk-up', 'walk-down', 'whole-tones', 'whole-tones-and-a-half', 'inner-line', 'open-strings']),
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
        $stretch = $map->at($approach->fromTicks);
        $beat = $stretch->inBar($approach->fromTicks) / $stretch->ruler->meter->beatTicks() + 1;
        $whole = (int) floor($beat);
        $part = match (round(12 * ($beat - $whole))) {
            0.0 => "beat {$whole}",
            6.0 => "the half of beat {$whole}",
            default => sprintf('beat %s', rtrim(number_format($beat, 2), '0')),
        };

        return [
            'kind' => $approach->kind->value,
            'words' => self::words($approach->kind),
            'steps' => count($approach->grips),
            'from' => sprintf('bar %d, %s', $map->barAt($approach->fromTicks) + 1, $part),
            'grips' => array_map(static fn (Voicing $grip): array => ['symbol' => $approach->kind === ApproachKind::OpenStrings ? 'open strings' : $grip->chord->text(), 'voicing' => VoicingResource::of($grip, $breakdown->neck)], $approach->grips),
        ];
    }

    /** How the hand comes to a chord of the chart, in a few words; null where nothing is laid down. */
    public static function shortly(Breakdown $breakdown, Place $at, ?string $symbol): ?string
    {
        foreach ($breakdown->placed as $placed) {
            if ($placed->at->equals($at) && $placed->symbol === $symbol) {
                $steps = $placed->move->kind->ownSteps() ?? $placed->move->steps;

                return match ($placed->move->kind) {
                    ApproachKind::SlideFromBelow => 'slide up',
                    ApproachKind::SlideFromAbove => 'slide down',
                    ApproachKind::WalkUp => "walk up {$steps}",
                    ApproachKind::WalkDown => "walk down {$steps}",
                    ApproachKind::WholeTones, ApproachKind::WholeTonesAndAHalf => "come down {$steps}",
                    ApproachKind::InnerLine => 'inner line',
                    ApproachKind::OpenStrings => 'open strings',
                };
            }
        }

        return null;
    }

    private static function words(ApproachKind $kind): string
    {
        return match ($kind) {
            ApproachKind::SlideFromBelow => 'Slide in from a fret below',
            ApproachKind::SlideFromAbove => 'Slide in from a fret above',
            ApproachKind::WalkUp => 'Walk up fret by fret',
            ApproachKind::WalkDown => 'Walk down fret by fret',
            ApproachKind::WholeTones => 'Come down in whole tones',
            ApproachKind::WholeTonesAndAHalf => 'Whole tones, then a half',
            ApproachKind::InnerLine => 'Tonic held, a voice falls ♭7 6 ♭6 5',
            ApproachKind::OpenStrings => 'Open strings while the hand travels',
        };
    }
}
