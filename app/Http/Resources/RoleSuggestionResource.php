<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Band\Role;
use Gravik\Ensemble\RoleSuggestion;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'RoleSuggestion', required: ['part', 'pass', 'section', 'from', 'role', 'words', 'why'], properties: [
    new OA\Property(property: 'part', type: 'string'),
    new OA\Property(property: 'pass', type: 'string'),
    new OA\Property(property: 'section', type: 'string'),
    new OA\Property(property: 'from', description: 'bar of the song, from 0', type: 'integer'),
    new OA\Property(property: 'role', type: 'string', enum: Role::class),
    new OA\Property(property: 'words', description: 'the role', type: 'string'),
    new OA\Property(property: 'why', type: 'string'),
])]
final class RoleSuggestionResource
{
    /** @return array<string, mixed> */
    public static function of(RoleSuggestion $suggestion): array
    {
        return [
            'part' => $suggestion->part->id,
            'pass' => $suggestion->visit->pass,
            'section' => $suggestion->visit->section->id,
            'from' => $suggestion->visit->bar,
            'role' => $suggestion->role->value,
            'words' => $suggestion->role->words(),
            'why' => $suggestion->why,
        ];
    }
}
