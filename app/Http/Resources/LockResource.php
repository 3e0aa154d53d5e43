<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Formats\ReportJson;
use Gravik\Listening\Lock\FindingKind;
use Gravik\Listening\Lock\LockReport;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'LockSlot', required: [
    'slot',
    'name',
    'n',
    'bias_ms',
    'spread_ms',
    'level_db',
    'length_share',
    'muted_ok',
    'missed',
    'extra',
], properties: [
    new OA\Property(property: 'slot', type: 'integer'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'n', type: 'integer'),
    new OA\Property(property: 'bias_ms', type: 'number', nullable: true),
    new OA\Property(
        property: 'bias_within',
        description: 'within what it lies, 95 %: low and high',
        type: 'array',
        items: new OA\Items(type: 'number'),
        nullable: true,
    ),
    new OA\Property(property: 'spread_ms', type: 'number', nullable: true),
    new OA\Property(property: 'level_db', type: 'number', nullable: true),
    new OA\Property(property: 'length_share', type: 'number', nullable: true),
    new OA\Property(property: 'muted_ok', type: 'number', nullable: true),
    new OA\Property(property: 'missed', type: 'integer'),
    new OA\Property(property: 'extra', type: 'integer'),
])]
#[OA\Schema(schema: 'Finding', required: ['kind', 'slots', 'text', 'practise'], properties: [
    new OA\Property(property: 'kind', type: 'string', enum: FindingKind::class),
    new OA\Property(property: 'slots', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'text', type: 'string'),
    new OA\Property(property: 'practise', required: ['stage', 'tempo'], properties: [
        new OA\Property(property: 'stage', type: 'integer'),
        new OA\Property(property: 'tempo', type: 'integer'),
    ], type: 'object', nullable: true),
])]
#[OA\Schema(schema: 'LockReport', required: [
    'planned',
    'played',
    'matched',
    'missed',
    'extra',
    'latency_ms',
    'bias_ms',
    'spread_ms',
    'drift_bpm_per_min',
    'swing',
    'swing_shares',
    'directions',
    'slots',
    'hits',
    'findings',
    'gate',
    'anchored',
], properties: [
    new OA\Property(
        property: 'anchored',
        description: 'whether the bias is against the band; else it is against the take’s own strokes on the beats',
        type: 'boolean',
    ),
    new OA\Property(property: 'planned', type: 'integer'),
    new OA\Property(property: 'played', type: 'integer'),
    new OA\Property(property: 'matched', type: 'integer'),
    new OA\Property(property: 'missed', type: 'integer'),
    new OA\Property(property: 'extra', type: 'integer'),
    new OA\Property(
        property: 'latency_ms',
        description: 'null: never measured, so the bias includes the device',
        type: 'number',
        nullable: true,
    ),
    new OA\Property(property: 'bias_ms', type: 'number', nullable: true),
    new OA\Property(
        property: 'bias_within',
        description: 'within what it lies, 95 %: low and high; takes kept earlier have none',
        type: 'array',
        items: new OA\Items(type: 'number'),
        nullable: true,
    ),
    new OA\Property(property: 'spread_ms', type: 'number', nullable: true),
    new OA\Property(
        property: 'spread_within',
        description: 'likewise',
        type: 'array',
        items: new OA\Items(type: 'number'),
        nullable: true,
    ),
    new OA\Property(
        property: 'drift_ms',
        description: 'what a changing tempo moves over the take, taken off bias, spread, swing and slots; null without one',
        type: 'number',
        nullable: true,
    ),
    new OA\Property(property: 'drift_bpm_per_min', type: 'number', nullable: true),
    new OA\Property(
        property: 'drift_within',
        description: 'that figure, likewise',
        type: 'array',
        items: new OA\Items(type: 'number'),
        nullable: true,
    ),
    new OA\Property(property: 'swing', required: ['planned', 'played', 'low', 'high'], properties: [
        new OA\Property(property: 'planned', type: 'number'),
        new OA\Property(property: 'played', type: 'number'),
        new OA\Property(property: 'low', type: 'number'),
        new OA\Property(property: 'high', type: 'number'),
    ], type: 'object', nullable: true),
    new OA\Property(property: 'swing_shares', description: 'the same as shares of the pair', required: [
        'planned',
        'played',
        'low',
        'high',
    ], properties: [
        new OA\Property(property: 'planned', type: 'number'),
        new OA\Property(property: 'played', type: 'number'),
        new OA\Property(property: 'low', type: 'number'),
        new OA\Property(property: 'high', type: 'number'),
    ], type: 'object', nullable: true),
    new OA\Property(property: 'directions', required: ['told', 'wrong'], properties: [
        new OA\Property(property: 'told', type: 'integer'),
        new OA\Property(property: 'wrong', type: 'integer'),
    ], type: 'object'),
    new OA\Property(property: 'slots', type: 'array', items: new OA\Items(ref: '#/components/schemas/LockSlot')),
    new OA\Property(property: 'hits', type: 'array', items: new OA\Items(required: ['slot', 'bar', 'ms'], properties: [
        new OA\Property(property: 'slot', type: 'integer'),
        new OA\Property(property: 'bar', type: 'integer'),
        new OA\Property(property: 'ms', type: 'number'),
    ], type: 'object')),
    new OA\Property(property: 'bars', description: 'the median of each bar, so that a drift shows', type: 'array',
        items: new OA\Items(required: ['bar', 'ms'], type: 'object', properties: [
        new OA\Property(property: 'bar', type: 'integer'),
        new OA\Property(property: 'ms', type: 'number'),
    ])),
    new OA\Property(property: 'findings', type: 'array', items: new OA\Items(ref: '#/components/schemas/Finding')),
    new OA\Property(property: 'gate', required: ['passed', 'why', 'bias_ms', 'spread_ms', 'swing_points', 'missed_share'], properties: [
        new OA\Property(property: 'passed', type: 'boolean'),
        new OA\Property(property: 'why', type: 'string'),
        new OA\Property(property: 'bias_ms', type: 'number'),
        new OA\Property(property: 'spread_ms', type: 'number'),
        new OA\Property(property: 'swing_points', type: 'number'),
        new OA\Property(property: 'missed_share', type: 'number'),
    ], type: 'object'),
])]
final class LockResource
{
    /** @return array<string, mixed> */
    public static function of(LockReport $report): array
    {
        return ReportJson::shown(ReportJson::write($report));
    }
}
