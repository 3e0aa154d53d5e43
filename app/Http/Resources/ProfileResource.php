<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\KeptProfile;
use Gravik\Formats\BreakdownJson;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'KeptProfile', required: ['id', 'name', 'document'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'document', description: 'a breakdown without chords', type: 'object'),
])]
final class ProfileResource
{
    /** @return array<string, mixed> as documents are written today, whatever wrote it */
    public static function of(KeptProfile $profile): array
    {
        $json = new BreakdownJson();

        return ['id' => $profile->id, 'name' => $profile->name, 'document' => $json->write($json->read($profile->document))];
    }
}
