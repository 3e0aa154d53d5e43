<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Breakdown\Desk;
use Gravik\Breakdown\Gate;
use Gravik\Listening\Feel\FeelReading;
use Gravik\Listening\Feel\HeardBars;
use Gravik\Listening\Feel\PlacedStroke;
use Gravik\Listening\Feel\SlotHeard;
use Gravik\Listening\Offers\FeelOffer;
use Gravik\Listening\Offers\FeelOffers;
use Gravik\Strokes\Direction;
use Gravik\Time\Feel;
use Gravik\Time\FeelWords;
use Gravik\Time\Swing;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'FeelOffer', required: ['what', 'heard', 'has', 'change'], properties: [
    new OA\Property(property: 'what', type: 'string', enum: ['Tempo', 'Feel', 'Meter', 'Strokes']),
    new OA\Property(property: 'heard', type: 'string'),
    new OA\Property(property: 'has', description: 'what the breakdown has now', type: 'string'),
    new OA\Property(property: 'change', type: 'array', items: new OA\Items(ref: '#/components/schemas/Patch')),
])]
#[OA\Schema(schema: 'FeelReading', required: [
    'tempo_bpm',
    'meter',
    'beats_a_bar',
    'grid',
    'swing',
    'bias_ms',
    'scatter_ms',
    'drift_bpm_per_min',
    'first_beat',
    'places',
    'arm',
    'beats',
    'strokes',
    'counted',
    'bar_tempos',
    'slots',
    'offers',
], properties: [
    new OA\Property(property: 'tempo_bpm', type: 'number'),
    new OA\Property(property: 'meter', type: 'string'),
    new OA\Property(property: 'beats_a_bar', type: 'integer'),
    new OA\Property(property: 'grid', description: 'slots a beat', type: 'integer'),
    new OA\Property(property: 'swing', nullable: true, type: 'object', required: [
        'ratio',
        'low',
        'high',
        'p',
        'p_low',
        'p_high',
        'shares',
        'sure',
        'straight',
        'words',
    ], properties: [
        new OA\Property(property: 'ratio', type: 'number'),
        new OA\Property(property: 'low', type: 'number'),
        new OA\Property(property: 'high', type: 'number'),
        new OA\Property(property: 'p', description: 'share of the pair', type: 'number'),
        new OA\Property(property: 'p_low', type: 'number'),
        new OA\Property(property: 'p_high', type: 'number'),
        new OA\Property(property: 'shares', description: 'of every pair', type: 'array', items: new OA\Items(type: 'number')),
        new OA\Property(property: 'sure', type: 'boolean'),
        new OA\Property(property: 'straight', type: 'boolean'),
        new OA\Property(property: 'words', type: 'string'),
    ]),
    new OA\Property(property: 'bias_ms', type: 'number', nullable: true),
    new OA\Property(property: 'scatter_ms', description: 'about the slots, the drift followed', type: 'number'),
    new OA\Property(property: 'drift_bpm_per_min', type: 'number'),
    new OA\Property(property: 'first_beat', description: 'seconds', type: 'number'),
    new OA\Property(
        property: 'places',
        description: 'where the slots lie in the beat, 0–1',
        type: 'array',
        items: new OA\Items(type: 'number'),
    ),
    new OA\Property(
        property: 'arm',
        description: 'which way a hand that keeps swinging crosses at each slot of a bar',
        type: 'array',
        items: new OA\Items(type: 'string', enum: Direction::class),
    ),
    new OA\Property(property: 'counted', description: 'every bar as it is counted', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(
        property: 'beats',
        description: 'seconds of every beat from bar 1 on',
        type: 'array',
        items: new OA\Items(type: 'number'),
    ),
    new OA\Property(property: 'strokes', type: 'array', items: new OA\Items(required: [
        't',
        'bar',
        'slot',
        'ms',
        'name',
        'accent',
        'far',
    ], type: 'object', properties: [
        new OA\Property(property: 'accent', description: '0 soft, 1 plain, 2 accented', type: 'integer'),
        new OA\Property(
            property: 'far',
            description: 'whether it lies further from its slot than the usual gate lets through',
            type: 'boolean',
        ),
        new OA\Property(property: 't', type: 'number'),
        new OA\Property(property: 'bar', type: 'integer'),
        new OA\Property(property: 'slot', type: 'integer'),
        new OA\Property(property: 'ms', type: 'number'),
        new OA\Property(property: 'name', type: 'string'),
    ])),
    new OA\Property(property: 'bar_tempos', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'slots', type: 'array', items: new OA\Items(required: [
        'slot',
        'name',
        'share',
        'level_db',
        'dead',
        'pushed',
        'ms',
    ], type: 'object', properties: [
        new OA\Property(property: 'slot', type: 'integer'),
        new OA\Property(property: 'name', type: 'string'),
        new OA\Property(property: 'share', type: 'number'),
        new OA\Property(property: 'level_db', type: 'number', nullable: true),
        new OA\Property(property: 'dead', type: 'number'),
        new OA\Property(property: 'pushed', type: 'number'),
        new OA\Property(property: 'ms', type: 'number'),
    ])),
    new OA\Property(property: 'offers', type: 'array', items: new OA\Items(ref: '#/components/schemas/FeelOffer')),
])]
final class FeelReadingResource
{
    /** @return array<string, mixed> */
    public static function of(FeelReading $reading, Desk $desk): array
    {
        $names = array_column($reading->slots, 'name', 'slot');
        $swing = $reading->swing;
        $usual = new Gate();

        return [
            'tempo_bpm' => round($reading->tempoBpm, 2),
            'meter' => $reading->meter->text(),
            'beats_a_bar' => $reading->meter->beats(),
            'grid' => $reading->grid,
            'swing' => $swing === null ? null : [
                'ratio' => round($swing->ratio, 3),
                'low' => round($swing->low, 3),
                'high' => round($swing->high, 3),
                'p' => round(Swing::share($swing->ratio), 4),
                'p_low' => round(Swing::share($swing->low), 4),
                'p_high' => round(Swing::share($swing->high), 4),
                'shares' => array_map(static fn (float $ratio): float => round(Swing::share($ratio), 4), $swing->ratios),
                'sure' => $swing->isSure(),
                'straight' => $swing->isStraight(),
                'words' => FeelWords::of($reading->feel() ?? Feel::straight(), $reading->tempo()),
            ],
            'bias_ms' => $reading->biasMs === null ? null : round($reading->biasMs, 1),
            'scatter_ms' => round($reading->scatterMs(), 1),
            'drift_bpm_per_min' => round($reading->driftBpmPerMin, 2),
            'first_beat' => round($reading->firstBeat, 4),
            'places' => array_map(static fn (float $place): float => round($place, 4), $reading->places),
            'arm' => array_map(static fn (?Direction $direction): ?string => $direction?->value, $reading->arm()),
            'beats' => array_map(static fn (float $t): float => round($t, 4), $reading->beats),
            'strokes' => array_map(
                static fn (PlacedStroke $stroke): array => [
                    't' => round($stroke->t, 4),
                    'bar' => $stroke->bar,
                    'slot' => $stroke->slot,
                    'ms' => round($stroke->ms, 1),
                    'name' => $names[$stroke->slot] ?? '',
                    'accent' => $stroke->accent(),
                    'far' => $usual->isFarOff($stroke->ms),
                ],
                $reading->strokes,
            ),
            'counted' => HeardBars::counted($reading),
            'bar_tempos' => array_map(static fn (float $bpm): float => round($bpm, 2), $reading->barTempos),
            'slots' => array_map(self::slot(...), $reading->slots),
            'offers' => array_map(static fn (FeelOffer $offer): array => [
                'what' => $offer->what,
                'heard' => $offer->heard,
                'has' => $offer->has,
                'change' => DocumentChange::between($desk->breakdown, $offer->after),
            ], FeelOffers::of($reading, $desk)),
        ];
    }

    /** @return array<string, mixed> */
    private static function slot(SlotHeard $slot): array
    {
        return [
            'slot' => $slot->slot,
            'name' => $slot->name,
            'share' => round($slot->share, 3),
            'level_db' => $slot->levelDb === null ? null : round($slot->levelDb, 1),
            'dead' => round($slot->dead, 3),
            'pushed' => round($slot->pushed, 3),
            'ms' => round($slot->ms, 1),
        ];
    }
}
