<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Breakdown\Breakdown;
use Gravik\Chart\Bar;
use Gravik\Chart\ChartLine;
use Gravik\Chart\ChartProblem;
use Gravik\Chart\ChordAt;
use Gravik\Chart\Section;
use Gravik\Harmony\Numeral;
use Gravik\Neck\CapoPlan;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'ChartChord', required: ['at', 'beats', 'typed', 'symbol', 'root', 'ending', 'numeral', 'plain_numeral', 'shape', 'approach'], properties: [
    new OA\Property(property: 'at', type: 'integer'),
    new OA\Property(property: 'beats', type: 'number'),
    new OA\Property(property: 'typed', type: 'string'),
    new OA\Property(property: 'symbol', description: 'null for silence and for what could not be read', type: 'string', nullable: true),
    new OA\Property(property: 'root', type: 'string', nullable: true),
    new OA\Property(property: 'ending', type: 'string', nullable: true),
    new OA\Property(property: 'numeral', description: 'as it works in the key: V7/V', type: 'string', nullable: true),
    new OA\Property(property: 'plain_numeral', description: 'by the step it stands on: II7', type: 'string', nullable: true),
    new OA\Property(property: 'shape', description: 'what the hand holds above the capo; null without one', type: 'string', nullable: true),
    new OA\Property(property: 'approach', description: 'how the hand comes to it, where that is laid down', type: 'string', nullable: true),
])]
#[OA\Schema(schema: 'ChartBar', required: ['repeated', 'chords'], properties: [
    new OA\Property(property: 'repeated', type: 'boolean'),
    new OA\Property(property: 'chords', type: 'array', items: new OA\Items(ref: '#/components/schemas/ChartChord')),
])]
#[OA\Schema(schema: 'ChartProblem', required: ['at', 'length', 'bar', 'message', 'nearest'], properties: [
    new OA\Property(property: 'at', description: 'character of the line, from 0', type: 'integer'),
    new OA\Property(property: 'length', type: 'integer'),
    new OA\Property(property: 'bar', type: 'integer'),
    new OA\Property(property: 'message', type: 'string'),
    new OA\Property(property: 'nearest', type: 'string', nullable: true),
])]
#[OA\Schema(schema: 'ChartSection', required: ['name', 'bars', 'problems'], properties: [
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'bars', type: 'array', items: new OA\Items(ref: '#/components/schemas/ChartBar')),
    new OA\Property(property: 'problems', type: 'array', items: new OA\Items(ref: '#/components/schemas/ChartProblem')),
])]
#[OA\Schema(schema: 'Chart', required: ['beats', 'sections'], properties: [
    new OA\Property(property: 'beats', description: 'beats a bar', type: 'integer'),
    new OA\Property(property: 'sections', type: 'array', items: new OA\Items(ref: '#/components/schemas/ChartSection')),
])]
final class ChartResource
{
    /** @return array<string, mixed> */
    public static function of(Breakdown $breakdown): array
    {
        $reader = new ChartLine($breakdown->key, $breakdown->meter);
        $numeral = Numeral::in($breakdown->key);

        return [
            'beats' => $breakdown->meter->beats(),
            'sections' => array_map(static function (Section $section, int $number) use ($reader, $numeral, $breakdown): array {
                $reading = $reader->read($section->line);

                return [
                    'name' => $section->name,
                    'bars' => array_map(static fn (Bar $bar, int $place): array => [
                        'repeated' => $bar->repeated,
                        'chords' => array_map(static fn (ChordAt $chord): array => self::chord($chord, $numeral, $breakdown, $number, $place), $bar->chords),
                    ], $reading->bars, array_keys($reading->bars)),
                    'problems' => array_map(static fn (ChartProblem $problem): array => [
                        'at' => $problem->at, 'length' => $problem->length, 'bar' => $problem->bar, 'message' => $problem->message, 'nearest' => $problem->nearest,
                    ], $reading->problems),
                ];
            }, $breakdown->sections, array_keys($breakdown->sections)),
        ];
    }

    /** @return array<string, mixed> */
    private static function chord(ChordAt $chord, Numeral $numeral, Breakdown $breakdown, int $section, int $bar): array
    {
        $bass = $chord->chord?->bass;

        return [
            'at' => $chord->at,
            'beats' => $chord->ticks / $breakdown->meter->beatTicks(),
            'typed' => $chord->typed,
            'symbol' => $chord->chord?->text(),
            'root' => $chord->chord?->root->text(),
            'ending' => $chord->chord === null ? null : $chord->chord->ending.($bass === null ? '' : '/'.$bass->text()),
            'numeral' => $chord->chord === null ? null : $numeral->text($chord->chord),
            'plain_numeral' => $chord->chord === null ? null : $numeral->plain($chord->chord),
            'shape' => $chord->chord === null ? null : CapoPlan::shapeOf($chord->chord, $breakdown->key, $breakdown->neck->capo)?->text(),
            'approach' => ApproachResource::shortly($breakdown, $section, $bar, $chord),
        ];
    }
}
