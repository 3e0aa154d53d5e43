<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Breakdown\Desk;
use Gravik\Formats\HandSketch;
use Gravik\Listening\Tapped\PatternReading;
use Gravik\Strokes\Hand\HandPlanner;
use Gravik\Strokes\Written\CountLine;
use Gravik\Time\Tempo;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'PatternReading', required: ['words', 'counted', 'shift_ms', 'spread_ms', 'left_out', 'sketch', 'change'], properties: [
    new OA\Property(property: 'words', type: 'string'),
    new OA\Property(property: 'counted', type: 'string'),
    new OA\Property(property: 'shift_ms', description: 'how late all taps came together, the device included', type: 'number'),
    new OA\Property(property: 'spread_ms', type: 'number'),
    new OA\Property(property: 'left_out', description: 'taps that found no slot', type: 'integer'),
    new OA\Property(property: 'sketch', ref: '#/components/schemas/HandSketch'),
    new OA\Property(property: 'change', type: 'array', items: new OA\Items(ref: '#/components/schemas/Patch')),
])]
final class PatternReadingResource
{
    /** @return array<string, mixed> */
    public static function of(Desk $desk, PatternReading $reading, ?Tempo $practice): array
    {
        $taken = $desk->in($desk->withFeel($reading->feel));
        $taken = $taken->in($taken->with($reading->pattern));
        $ruler = $taken->ruler($practice);
        $hand = (new HandPlanner())->plan($taken->pattern(), $taken->school(), $ruler, $taken->setting->feel);

        return [
            'words' => $reading->words(),
            'counted' => CountLine::write($reading->pattern),
            'shift_ms' => $reading->shiftMs,
            'spread_ms' => round($reading->spreadMs, 1),
            'left_out' => $reading->leftOut,
            'sketch' => HandSketch::of($hand, $ruler),
            'change' => DocumentChange::between($desk->breakdown, $taken->breakdown),
        ];
    }
}
