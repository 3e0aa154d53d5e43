<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Band\Instrument;
use Gravik\Band\Seat;
use Gravik\Breakdown\BalanceVerdict;
use Gravik\Ensemble\BalanceTest;
use Gravik\Ensemble\Heard;
use Gravik\Ensemble\SharedRange;
use Gravik\Ensemble\Sounding;
use Gravik\Ensemble\Soundings;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Sounding', required: ['part', 'least', 'most', 'over'], properties: [
    new OA\Property(property: 'part', type: 'string'),
    new OA\Property(property: 'least', description: 'that the soloist asks for, dB below', type: 'number'),
    new OA\Property(property: 'most', type: 'number'),
    new OA\Property(property: 'over', description: 'whether it covers the soloist', type: 'boolean'),
])]
#[OA\Schema(schema: 'Seat', required: ['slug', 'words', 'gains_db', 'below_db'], properties: [
    new OA\Property(property: 'slug', type: 'string', enum: Seat::class),
    new OA\Property(property: 'words', type: 'string'),
    new OA\Property(
        property: 'gains_db',
        description: 'by instrument: how much louder it is here than in the mix',
        type: 'object',
        additionalProperties: new OA\AdditionalProperties(type: 'number'),
    ),
    new OA\Property(
        property: 'below_db',
        description: 'below the soloist, in the order of the parts that sound',
        type: 'array',
        items: new OA\Items(type: 'number'),
    ),
])]
#[OA\Schema(schema: 'Soundings', required: ['soloist', 'parts', 'seats', 'ranges', 'balance'], properties: [
    new OA\Property(
        property: 'soloist',
        description: 'sung, plucked, blown or bowed; null where nobody leads',
        type: 'string',
        nullable: true,
    ),
    new OA\Property(property: 'parts', type: 'array', items: new OA\Items(ref: '#/components/schemas/Sounding')),
    new OA\Property(
        property: 'seats',
        description: 'the one that the mix is made for first',
        type: 'array',
        items: new OA\Items(ref: '#/components/schemas/Seat'),
    ),
    new OA\Property(
        property: 'ranges',
        description: 'what of each part that comps lies where the soloist is at home',
        type: 'array',
        items: new OA\Items(type: 'string'),
    ),
    new OA\Property(property: 'balance', description: 'a test of the guitar in the band', required: ['steps', 'verdicts'], properties: [
        new OA\Property(property: 'steps', type: 'array', items: new OA\Items(required: ['gain_db', 'level'], properties: [
            new OA\Property(property: 'gain_db', description: 'against how it is written; null without it', type: 'number', nullable: true),
            new OA\Property(property: 'level', description: 'loudness that the part then has', type: 'number'),
        ], type: 'object')),
        new OA\Property(property: 'verdicts', type: 'array', items: new OA\Items(required: ['slug', 'words'], properties: [
            new OA\Property(property: 'slug', type: 'string', enum: BalanceVerdict::class),
            new OA\Property(property: 'words', type: 'string'),
        ], type: 'object')),
    ], type: 'object'),
])]
final class SoundingsResource
{
    /** @return array<string, mixed> */
    public static function of(Heard $heard): array
    {
        $soundings = Soundings::of($heard);

        return [
            'soloist' => $heard->part(Instrument::Lead) === null ? null : $soundings->kind->words(),
            'parts' => array_map(static fn (Sounding $sounding): array => [
                'part' => $sounding->part->id,
                'least' => $sounding->asked[0],
                'most' => $sounding->asked[1],
                'over' => $sounding->covers(),
            ], $soundings->parts),
            'seats' => array_map(static fn (Seat $seat): array => self::seat($seat, $soundings), Seat::cases()),
            'ranges' => array_map(static fn (SharedRange $shared): string => $shared->words(), SharedRange::all($heard)),
            'balance' => [
                'steps' => array_map(
                    static fn (array $step): array => ['gain_db' => $step['gainDb'], 'level' => $step['level']],
                    BalanceTest::steps($heard->breakdown->guitar()),
                ),
                'verdicts' => array_map(
                    static fn (BalanceVerdict $verdict): array => ['slug' => $verdict->value, 'words' => $verdict->words()],
                    BalanceVerdict::cases(),
                ),
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function seat(Seat $seat, Soundings $soundings): array
    {
        $gains = [];
        foreach (Instrument::cases() as $instrument) {
            $gains[$instrument->value] = round($seat->gainDb($instrument), 1);
        }

        return [
            'slug' => $seat->value,
            'words' => $seat->words(),
            'gains_db' => $gains,
            'below_db' => array_map(static fn (Sounding $sounding): float => round($sounding->belowFrom($seat), 1), $soundings->parts),
        ];
    }
}
