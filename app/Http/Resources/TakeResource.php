<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Take;
use Gravik\Breakdown\Arrangement;
use Gravik\Breakdown\Gate;
use Gravik\Formats\ReportJson;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'TakeRow', required: [
    'id',
    'number',
    'player',
    'created_at',
    'tempo',
    'swing',
    'bars',
    'from_bar',
    'stage',
    'arrangement',
    'level',
    'revision',
    'latency_ms',
    'passed',
    'bias_ms',
    'spread_ms',
    'gate_ms',
    'finding',
    'sound_at',
], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'number', description: 'of this player on this breakdown, from 1', type: 'integer'),
    new OA\Property(property: 'player', type: 'string'),
    new OA\Property(property: 'created_at', type: 'string'),
    new OA\Property(property: 'tempo', type: 'number'),
    new OA\Property(property: 'swing', description: 'the ratio it was judged against', type: 'number'),
    new OA\Property(property: 'bars', type: 'integer'),
    new OA\Property(property: 'from_bar', description: 'of the song, from 0, with which it begins', type: 'integer'),
    new OA\Property(property: 'stage', description: 'of the lesson; empty for the whole song', type: 'string'),
    new OA\Property(property: 'arrangement', description: 'what it was judged against', type: 'string', enum: Arrangement::class),
    new OA\Property(property: 'level', description: 'of the pattern that was asked for, 1 to 3', type: 'integer'),
    new OA\Property(property: 'revision', type: 'integer'),
    new OA\Property(property: 'latency_ms', type: 'number', nullable: true),
    new OA\Property(property: 'passed', type: 'boolean'),
    new OA\Property(property: 'bias_ms', type: 'number', nullable: true),
    new OA\Property(property: 'spread_ms', type: 'number', nullable: true),
    new OA\Property(property: 'gate_ms', description: 'what the bias was allowed to be, either way', type: 'number'),
    new OA\Property(property: 'finding', description: 'what is said of it first', type: 'string', nullable: true),
    new OA\Property(
        property: 'sound_at',
        description: 'second of its kept sound at which bar 1 beat 1 lies; null where none is kept',
        type: 'number',
        nullable: true,
    ),
])]
#[OA\Schema(schema: 'Take', allOf: [new OA\Schema(ref: '#/components/schemas/TakeRow'), new OA\Schema(required: ['strokes', 'report'],
    properties: [
    new OA\Property(
        property: 'strokes',
        description: 'seconds from bar 1 beat 1, the delay taken off',
        type: 'array',
        items: new OA\Items(type: 'number'),
    ),
    new OA\Property(property: 'report', ref: '#/components/schemas/LockReport'),
])])]
final class TakeResource
{
    /** @return array<string, mixed> */
    public static function of(Take $take): array
    {
        return self::row($take) + [
            'strokes' => array_map(
                static fn (array $stroke): float => round($stroke['t'] - ($take->latency_ms ?? 0.0) / 1000, 4),
                $take->strokes,
            ),
            'report' => ReportJson::shown($take->report),
        ];
    }

    /** @return array<string, mixed> as lists have it */
    public static function row(Take $take): array
    {
        return [
            'id' => $take->id,
            'number' => $take->number,
            'player' => $take->player->name,
            'created_at' => $take->created_at->toIso8601String(),
            'tempo' => $take->tempo,
            'swing' => $take->swing,
            'bars' => $take->bars,
            'from_bar' => $take->from_bar,
            'stage' => $take->stage,
            'arrangement' => $take->arrangement->value,
            'level' => $take->level,
            'revision' => $take->revision,
            'latency_ms' => $take->latency_ms,
            'passed' => $take->passed,
            'bias_ms' => $take->bias_ms,
            'spread_ms' => $take->spread_ms,
            'gate_ms' => $take->gate_ms ?? (new Gate())->biasMs,
            'finding' => $take->finding,
            'sound_at' => $take->sound_at,
        ];
    }
}
