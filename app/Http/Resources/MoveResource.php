<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\KeptMove;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'KeptMove', required: ['id', 'name', 'meter'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'meter', type: 'string'),
])]
final class MoveResource
{
    /** @return array<string, mixed> */
    public static function of(KeptMove $move): array
    {
        return ['id' => $move->id, 'name' => $move->name, 'meter' => $move->figure['meter'] ?? ''];
    }
}
