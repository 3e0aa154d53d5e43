<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Lesson\Backing;
use Gravik\Lesson\Ladder;
use Gravik\Lesson\LadderStep;
use Gravik\Time\Meter;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Backing', required: ['id', 'name', 'click_on', 'click_off_beats', 'click_rests'], properties: [
    new OA\Property(property: 'id', type: 'string', enum: Backing::class),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'click_on', description: 'beats of the bar, from 0', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'click_off_beats', type: 'boolean'),
    new OA\Property(
        property: 'click_rests',
        description: 'bars with the click, and bars without',
        type: 'array',
        items: new OA\Items(type: 'integer'),
        nullable: true,
    ),
])]
#[OA\Schema(schema: 'Ladder', required: ['steps', 'added', 'minutes', 'fits', 'goal'], properties: [
    new OA\Property(property: 'steps', type: 'array', items: new OA\Items(required: [
        'bpm',
        'bars',
        'cycles',
        'seconds',
        'pulse_beats',
    ], properties: [
        new OA\Property(property: 'pulse_beats', description: 'that one swing of the shown pulse takes', type: 'integer'),
        new OA\Property(property: 'bpm', type: 'integer'),
        new OA\Property(property: 'bars', type: 'integer'),
        new OA\Property(property: 'cycles', type: 'integer'),
        new OA\Property(property: 'seconds', type: 'number'),
    ], type: 'object')),
    new OA\Property(property: 'added', description: 'cycles beyond two a tempo, to use the minutes', type: 'integer'),
    new OA\Property(property: 'minutes', type: 'number'),
    new OA\Property(property: 'fits', type: 'boolean'),
    new OA\Property(property: 'goal', description: 'reached in the minutes given', type: 'integer'),
])]
final class LadderResource
{
    /** @return array<string, mixed> */
    public static function backing(Backing $backing, Meter $meter): array
    {
        return [
            'id' => $backing->value,
            'name' => $backing->words(),
            'click_on' => $backing->beats($meter),
            'click_off_beats' => $backing->clicksOffBeats(),
            'click_rests' => $backing->rests(),
        ];
    }

    /**
     * @return array{steps: list<array{bpm: int, bars: int, cycles: int, seconds: float, pulse_beats: int}>, added: int, minutes: float, fits: bool, goal: int}
     */
    public static function of(Ladder $ladder): array
    {
        return [
            'steps' => array_map(
                static fn (LadderStep $step): array => [
                    'bpm' => $step->bpm,
                    'bars' => $step->bars,
                    'cycles' => $step->cycles,
                    'seconds' => round($step->seconds, 2),
                    'pulse_beats' => $step->pulseBeats(),
                ],
                $ladder->steps,
            ),
            'added' => $ladder->added(),
            'minutes' => round($ladder->minutes(), 2),
            'fits' => $ladder->fits,
            'goal' => $ladder->goal,
        ];
    }
}
