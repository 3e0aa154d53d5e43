<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Breakdown\Breakdown;
use Gravik\Chart\Bar;
use Gravik\Chart\ChartProblem;
use Gravik\Chart\ChordAt;
use Gravik\Chart\Ending;
use Gravik\Chart\FormBar;
use Gravik\Chart\FormEntry;
use Gravik\Chart\Place;
use Gravik\Chart\Section;
use Gravik\Chart\Setting;
use Gravik\Harmony\Numeral;
use Gravik\Neck\Finder\CapoPlan;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'ChartChord', required: [
    'at',
    'beats',
    'typed',
    'symbol',
    'root',
    'ending',
    'numeral',
    'plain_numeral',
    'shape',
    'approach',
], properties: [
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
#[OA\Schema(schema: 'ChartBar', required: ['written', 'number', 'repeated', 'chords'], properties: [
    new OA\Property(
        property: 'written',
        description: 'which bar of the written song it is, from 0, endings counted through',
        type: 'integer',
    ),
    new OA\Property(property: 'number', description: 'as bars are numbered on paper, from 1', type: 'integer'),
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
#[OA\Schema(schema: 'ChartEnding', required: ['times', 'passes', 'bars', 'problems'], properties: [
    new OA\Property(property: 'passes', description: 'ids of passes that end so', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'times', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'bars', type: 'array', items: new OA\Items(ref: '#/components/schemas/ChartBar')),
    new OA\Property(property: 'problems', type: 'array', items: new OA\Items(ref: '#/components/schemas/ChartProblem')),
])]
#[OA\Schema(schema: 'ChartSection', required: ['id', 'name', 'beats', 'times', 'bars', 'problems', 'endings'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'beats', description: 'beats a bar', type: 'integer'),
    new OA\Property(property: 'times', description: 'how often it comes in a pass', type: 'integer'),
    new OA\Property(property: 'endings', type: 'array', items: new OA\Items(ref: '#/components/schemas/ChartEnding')),
    new OA\Property(property: 'bars', type: 'array', items: new OA\Items(ref: '#/components/schemas/ChartBar')),
    new OA\Property(property: 'problems', type: 'array', items: new OA\Items(ref: '#/components/schemas/ChartProblem')),
])]
#[OA\Schema(schema: 'Chart', required: ['sections'], properties: [
    new OA\Property(property: 'sections', type: 'array', items: new OA\Items(ref: '#/components/schemas/ChartSection')),
])]
final class ChartResource
{
    /** @return array<string, mixed> */
    public static function of(Breakdown $breakdown): array
    {
        $bars = $breakdown->written()->bars;

        return ['sections' => array_map(
            static fn (Section $section): array => self::section($breakdown, $bars, $section),
            $breakdown->sections,
        )];
    }

    /**
     * @param list<FormBar> $bars of the written song
     *
     * @return array<string, mixed>
     */
    private static function section(Breakdown $breakdown, array $bars, Section $section): array
    {
        $setting = $section->setting($breakdown->start);

        return [
            'id' => $section->id,
            'name' => $section->name,
            'beats' => $setting->meter->beats(),
            'times' => array_sum(array_map(
                static fn (FormEntry $entry): int => $entry->section === $section->id ? $entry->times : 0,
                $breakdown->form,
            )),
            ...self::line($breakdown, $bars, $section, $setting, null, $section->line),
            'endings' => array_map(
                static fn (Ending $ending, int $number): array => ['times' => $ending->times, 'passes' => $ending->passes]
                    + self::line($breakdown, $bars, $section, $setting, $number, $ending->line),
                $section->endings,
                array_keys($section->endings),
            ),
        ];
    }

    /**
     * @param list<FormBar> $bars of the written song
     *
     * @return array{bars: list<array<string, mixed>>, problems: list<array<string, mixed>>}
     */
    private static function line(Breakdown $breakdown, array $bars, Section $section, Setting $setting, ?int $ending, string $line): array
    {
        $reading = $setting->reader()->read($line);
        $written = array_keys(array_filter(
            $bars,
            static fn (FormBar $bar): bool => $bar->section === $section->id && $bar->ending === $ending,
        ));

        return [
            'bars' => array_map(static fn (Bar $bar, int $place): array => [
                'written' => $written[$place],
                'number' => $bars[$written[$place]]->number,
                'repeated' => $bar->repeated,
                'chords' => array_map(
                    static fn (ChordAt $chord): array => self::chord(
                        $chord,
                        $setting,
                        $breakdown,
                        new Place($section->id, $ending, $place, $chord->at),
                    ),
                    $bar->chords,
                ),
            ], $reading->bars, array_keys($reading->bars)),
            'problems' => array_map(static fn (ChartProblem $problem): array => [
                'at' => $problem->at, 'length' => $problem->length, 'bar' => $problem->bar, 'message' => $problem->message, 'nearest' => $problem->nearest,
            ], $reading->problems),
        ];
    }

    /** @return array<string, mixed> */
    private static function chord(ChordAt $chord, Setting $setting, Breakdown $breakdown, Place $place): array
    {
        $numeral = Numeral::in($setting->key);
        $bass = $chord->chord?->bass;

        return [
            'at' => $chord->at,
            'beats' => $chord->ticks / $setting->meter->beatTicks(),
            'typed' => $chord->typed,
            'symbol' => $chord->chord?->text(),
            'root' => $chord->chord?->root->text(),
            'ending' => $chord->chord === null ? null : $chord->chord->ending.($bass === null ? '' : '/'.$bass->text()),
            'numeral' => $chord->chord === null ? null : $numeral->text($chord->chord),
            'plain_numeral' => $chord->chord === null ? null : $numeral->plain($chord->chord),
            'shape' => $chord->chord === null ? null : CapoPlan::shapeOf($chord->chord, $setting->key, $breakdown->neck->capo)?->text(),
            'approach' => ApproachResource::shortly($breakdown, $place, $chord->chord?->text()),
        ];
    }
}
