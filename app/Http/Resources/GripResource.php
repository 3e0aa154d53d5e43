<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Grip;
use Gravik\Harmony\ChordSymbol;
use Gravik\Neck\Finder\VoicingFinder;
use Gravik\Neck\Grip\Frets;
use Gravik\Neck\Neck;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'OwnGrip', required: ['id', 'name', 'symbol', 'frets', 'tuning', 'here'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'symbol', description: 'the chord it was named on', type: 'string'),
    new OA\Property(property: 'frets', type: 'array', items: new OA\Items(type: 'integer', nullable: true)),
    new OA\Property(property: 'tuning', type: 'string'),
    new OA\Property(
        property: 'here',
        description: 'the grip on the root that was asked for; null where it is another chord or cannot go there',
        nullable: true,
        allOf: [new OA\Schema(ref: '#/components/schemas/Voicing')],
    ),
])]
final class GripResource
{
    /** @return array<string, mixed> */
    public static function of(Grip $grip, ?ChordSymbol $chord, Neck $neck, VoicingFinder $finder): array
    {
        $here = null;
        $named = ChordSymbol::parse($grip->symbol);
        if ($chord !== null && $named->ending === $chord->ending && $grip->tuning === $neck->tuning->slug) {
            $frets = Frets::onRootOf($chord, $grip->frets, $named);
            $here = $frets === null ? null : $finder->voicing($chord, $frets);
        }

        return [
            'id' => $grip->id,
            'name' => $grip->name,
            'symbol' => $grip->symbol,
            'frets' => $grip->frets,
            'tuning' => $grip->tuning,
            'here' => $here === null ? null : VoicingResource::of($here, $neck),
        ];
    }
}
