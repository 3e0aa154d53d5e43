<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Breakdown;
use App\Models\User;
use Gravik\Formats\BreakdownJson;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'BreakdownCard', required: [
    'id',
    'title',
    'genre',
    'key',
    'meter',
    'tempo',
    'feel',
    'revision',
    'updated_at',
    'mine',
    'takes',
    'sketch',
], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'title', type: 'string'),
    new OA\Property(property: 'genre', type: 'string'),
    new OA\Property(property: 'key', type: 'string'),
    new OA\Property(property: 'meter', type: 'string'),
    new OA\Property(property: 'tempo', type: 'number'),
    new OA\Property(property: 'feel', type: 'string'),
    new OA\Property(property: 'revision', type: 'integer'),
    new OA\Property(property: 'updated_at', type: 'string'),
    new OA\Property(property: 'mine', description: 'false where it was assigned by its owner', type: 'boolean'),
    new OA\Property(property: 'takes', type: 'integer'),
    new OA\Property(property: 'sketch', ref: '#/components/schemas/HandSketch'),
])]
#[OA\Schema(schema: 'StoredBreakdown', required: ['id', 'revision', 'sitting', 'updated_at', 'mine', 'document'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'revision', type: 'integer'),
    new OA\Property(property: 'sitting', description: 'of the page that saved it last, as that page called it', type: 'string'),
    new OA\Property(property: 'updated_at', type: 'string'),
    new OA\Property(property: 'mine', type: 'boolean'),
    new OA\Property(property: 'document', description: 'see breakdown-2.json', type: 'object'),
])]
final class BreakdownResource
{
    /** @return array<string, mixed> */
    public static function full(Breakdown $breakdown, User $for): array
    {
        return [
            'id' => $breakdown->id,
            'revision' => $breakdown->revision,
            'sitting' => $breakdown->sitting,
            'updated_at' => $breakdown->updated_at->toIso8601String(),
            'mine' => $breakdown->owner_id === $for->id,
            'document' => self::document($breakdown->document),
        ];
    }

    /**
     * A stored document as it is written today, whatever version it was kept in.
     *
     * @return array<string, mixed>
     */
    public static function document(string $stored): array
    {
        $json = new BreakdownJson();

        return $json->write($json->parse($stored));
    }

    /**
     * @param array<string, mixed> $sketch
     *
     * @return array<string, mixed>
     */
    public static function card(Breakdown $breakdown, User $for, int $takes, array $sketch): array
    {
        return [
            'id' => $breakdown->id,
            'title' => $breakdown->title,
            'genre' => $breakdown->genre,
            'key' => $breakdown->key,
            'meter' => $breakdown->meter,
            'tempo' => $breakdown->tempo,
            'feel' => $breakdown->feel,
            'revision' => $breakdown->revision,
            'updated_at' => $breakdown->updated_at->toIso8601String(),
            'mine' => $breakdown->owner_id === $for->id,
            'takes' => $takes,
            'sketch' => $sketch,
        ];
    }
}
