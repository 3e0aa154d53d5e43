<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Pass;
use Gravik\Breakdown\PassDifferences;
use Gravik\Performance\Timeline;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'TimedPass', required: ['id', 'differs', 'hand'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'differs', description: 'from the pass before, in words; empty for the first', type: 'string'),
    new OA\Property(
        property: 'hand',
        description: 'the lowest and the highest fret that is pressed in it; null where none is',
        type: 'array',
        items: new OA\Items(type: 'integer'),
        nullable: true,
    ),
])]
final class TimedPassResource
{
    /** @return list<array<string, mixed>> */
    public static function all(Breakdown $breakdown, Timeline $timeline): array
    {
        $differs = (new PassDifferences($breakdown))->words();
        $hands = $timeline->handsOfPasses();

        return array_map(
            static fn (Pass $pass, int $place): array => [
                'id' => $pass->id,
                'differs' => $differs[$place],
                'hand' => $hands[$pass->id] ?? null,
            ],
            $breakdown->passes,
            array_keys($breakdown->passes),
        );
    }
}
