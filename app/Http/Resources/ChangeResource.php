<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Breakdown\Breakdown;
use Gravik\Performance\ChangeWindow;
use Gravik\Performance\Repair;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Fix', required: ['text', 'change'], properties: [
    new OA\Property(property: 'text', type: 'string'),
    new OA\Property(property: 'change', type: 'array', items: new OA\Items(ref: '#/components/schemas/Patch')),
])]
#[OA\Schema(schema: 'GripChange', required: [
    'bar',
    'from',
    'to',
    'from_frets',
    'to_frets',
    'have_ms',
    'need_ms',
    'travel_mm',
    'fits',
    'stay',
    'slide',
    'common',
    'repairs',
], properties: [
    new OA\Property(property: 'bar', description: 'of the form, from 0', type: 'integer'),
    new OA\Property(property: 'from', type: 'string'),
    new OA\Property(property: 'to', type: 'string'),
    new OA\Property(property: 'from_frets', type: 'string'),
    new OA\Property(property: 'to_frets', type: 'string'),
    new OA\Property(property: 'have_ms', type: 'number'),
    new OA\Property(property: 'need_ms', type: 'number'),
    new OA\Property(property: 'travel_mm', type: 'number'),
    new OA\Property(property: 'fits', type: 'boolean'),
    new OA\Property(
        property: 'stay',
        description: 'fingers that keep string and fret',
        type: 'array',
        items: new OA\Items(type: 'integer'),
    ),
    new OA\Property(property: 'slide', description: 'fingers that keep their string', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(
        property: 'common',
        description: 'strings whose note both grips have',
        type: 'array',
        items: new OA\Items(type: 'integer'),
    ),
    new OA\Property(property: 'repairs', type: 'array', items: new OA\Items(ref: '#/components/schemas/Fix')),
])]
final class ChangeResource
{
    /**
     * @param list<Repair> $repairs
     *
     * @return array<string, mixed>
     */
    public static function of(Breakdown $breakdown, ChangeWindow $window, array $repairs): array
    {
        return [
            'bar' => $window->first->bar,
            'from' => $window->from->chord->text(),
            'to' => $window->to->chord->text(),
            'from_frets' => $window->from->text(),
            'to_frets' => $window->to->text(),
            'have_ms' => round($window->haveMs, 1),
            'need_ms' => round($window->needMs, 1),
            'travel_mm' => round($window->travelMm, 1),
            'fits' => $window->fits(),
            'stay' => $window->stay,
            'slide' => $window->slide,
            'common' => $window->common,
            'repairs' => array_map(
                static fn (Repair $repair): array => [
                    'text' => $repair->text,
                    'change' => DocumentChange::between($breakdown, $repair->breakdown),
                ],
                $repairs,
            ),
        ];
    }
}
