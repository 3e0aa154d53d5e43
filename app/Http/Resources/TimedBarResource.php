<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Band\Role;
use Gravik\Breakdown\Texture;
use Gravik\Chart\CourseBar;
use Gravik\Performance\Timeline;
use Gravik\Strokes\Hand\Levels;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'TimedBar', required: [
    't',
    'beats',
    'off_beats',
    'written',
    'pattern',
    'pattern_bar',
    'section',
    'pass',
    'time',
    'p',
    'line',
    'level',
    'texture',
    'role_words',
    'loud',
], properties: [
    new OA\Property(property: 't', description: 'seconds of its bar line', type: 'number'),
    new OA\Property(property: 'beats', description: 'seconds of its beats', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(
        property: 'off_beats',
        description: 'seconds of the middle of every beat, leaning with the feel',
        type: 'array',
        items: new OA\Items(type: 'number'),
    ),
    new OA\Property(property: 'written', description: 'which bar of the written song it is, from 0', type: 'integer'),
    new OA\Property(property: 'pattern', description: 'that the guitar plays in it; null where it is out', type: 'string', nullable: true),
    new OA\Property(property: 'pattern_bar', description: 'which bar of the pattern lies on it, from 0', type: 'integer'),
    new OA\Property(property: 'section', type: 'string'),
    new OA\Property(property: 'pass', type: 'string'),
    new OA\Property(property: 'time', description: 'how often the section has come in its pass, from 1', type: 'integer'),
    new OA\Property(
        property: 'line',
        description: 'of grips that it is played over; null where the guitar is out',
        type: 'string',
        nullable: true,
    ),
    new OA\Property(property: 'level', description: 'of the pattern, 1 to 3', type: 'integer'),
    new OA\Property(property: 'texture', type: 'string', enum: Texture::class),
    new OA\Property(
        property: 'role_words',
        description: 'the guitar\'s role in the band; empty where it simply comps, or is out',
        type: 'string',
    ),
    new OA\Property(
        property: 'loud',
        description: 'level at its bar line and at the next, 1 hush to 4 full, the guitar\'s own levels counted in',
        type: 'array',
        items: new OA\Items(type: 'number'),
    ),
    new OA\Property(property: 'p', description: 'share of a swung pair at which its second note sounds', type: 'number'),
])]
final class TimedBarResource
{
    /** @return array<string, mixed> */
    public static function of(Timeline $timeline, CourseBar $bar): array
    {
        $beat = $bar->meter->beatTicks();
        $beats = range(0, $bar->meter->beats() - 1);
        $visit = $timeline->course->visits[$bar->visit];
        $span = $timeline->spanOver($bar->tick);
        $seconds = static fn (int $tick, int $division): float => round($timeline->map->secondsAt($tick, $division), 6);

        return [
            't' => $seconds($bar->tick, 1),
            'beats' => array_map(static fn (int $number): float => $seconds($bar->tick + $number * $beat, 1), $beats),
            'off_beats' => array_map(
                static fn (int $number): float => $seconds($bar->tick + $number * $beat + intdiv($beat, 2), 2),
                $beats,
            ),
            'written' => $bar->written,
            'pattern' => $span?->hand->named->id,
            'pattern_bar' => $span === null
                ? 0
                : intdiv($span->inPattern($bar->tick), $bar->meter->barTicks()),
            'section' => $visit->section->id,
            'pass' => $visit->pass,
            'time' => $visit->time,
            'line' => $span?->line->id,
            'level' => $span->level ?? Levels::HIGHEST,
            'texture' => ($span->texture ?? Texture::Pattern)->value,
            'role_words' => $span === null || $span->role === Role::Active ? '' : $span->role->words(),
            'loud' => array_map(
                static fn (float $level): float => round($level + ($span->dynamic ?? 0), 2),
                [$bar->loudness->from, $bar->loudness->to],
            ),
            'p' => round($timeline->map->at($bar->tick)->ruler->p, 6),
        ];
    }
}
