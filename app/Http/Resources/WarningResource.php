<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Breakdown\Desk;
use Gravik\Chart\VoicedForm;
use Gravik\Performance\Repair;
use Gravik\Performance\StrokeRepairs;
use Gravik\Strokes\Hand\Warning;
use Gravik\Strokes\Hand\WarningKind;
use Gravik\Time\Tempo;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'HandWarning', required: ['kind', 'text', 'at', 'fixes'], properties: [
    new OA\Property(property: 'kind', type: 'string', enum: WarningKind::class),
    new OA\Property(property: 'text', type: 'string'),
    new OA\Property(property: 'at', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(
        property: 'fixes',
        description: 'the smallest change first',
        type: 'array',
        items: new OA\Items(ref: '#/components/schemas/Fix'),
    ),
])]
final class WarningResource
{
    /** @return array<string, mixed> */
    public static function of(Desk $desk, Warning $warning, Tempo $tempo, ?VoicedForm $voiced = null): array
    {
        return [
            'kind' => $warning->kind->value,
            'text' => $warning->text,
            'at' => $warning->at,
            'fixes' => array_map(
                static fn (Repair $repair): array => [
                    'text' => $repair->text,
                    'change' => DocumentChange::between($desk->breakdown, $repair->breakdown),
                ],
                (new StrokeRepairs())->of($desk, $warning, $tempo, $voiced),
            ),
        ];
    }
}
