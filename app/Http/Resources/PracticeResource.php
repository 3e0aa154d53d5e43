<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\School\LaidSheet;
use Gravik\Formats\HandSketch;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'PracticeSheet', required: [
    'breakdown', 'title', 'stage', 'stage_name', 'say', 'tempo', 'next', 'tempos', 'bars', 'loop', 'gate_ms', 'level', 'sketch',
    'slots', 'grips', 'timeline',
], properties: [
    new OA\Property(property: 'breakdown', description: 'id', type: 'string'),
    new OA\Property(property: 'title', type: 'string'),
    new OA\Property(property: 'stage', description: 'key; null for the whole song', type: 'string', nullable: true),
    new OA\Property(property: 'stage_name', type: 'string'),
    new OA\Property(property: 'say', description: 'the cue; empty where there is none', type: 'string'),
    new OA\Property(property: 'tempo', type: 'number'),
    new OA\Property(property: 'next', description: 'where its ladder goes on, and why', required: ['tempo', 'words'], properties: [
        new OA\Property(property: 'tempo', type: 'integer'),
        new OA\Property(property: 'words', type: 'string'),
    ], type: 'object'),
    new OA\Property(property: 'tempos', description: 'of its ladder, the slowest first', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'bars', description: 'of a cycle', type: 'integer'),
    new OA\Property(
        property: 'loop',
        description: 'first and last bar that go round, from 0; null for all',
        type: 'array',
        items: new OA\Items(type: 'integer'),
        nullable: true,
    ),
    new OA\Property(property: 'gate_ms', description: 'what the bias may be, either way', type: 'number'),
    new OA\Property(property: 'level', description: 'of the pattern', type: 'integer'),
    new OA\Property(property: 'sketch', ref: '#/components/schemas/HandSketch'),
    new OA\Property(property: 'slots', type: 'array', items: new OA\Items(ref: '#/components/schemas/HandSlot')),
    new OA\Property(property: 'grips', description: 'each once, in the order in which they come', type: 'array', items: new OA\Items(
        required: ['symbol', 'voicing'],
        properties: [
            new OA\Property(property: 'symbol', type: 'string'),
            new OA\Property(property: 'voicing', ref: '#/components/schemas/Voicing'),
        ],
        type: 'object',
    )),
    new OA\Property(property: 'timeline', ref: '#/components/schemas/Timeline'),
])]
final class PracticeResource
{
    /** @return array<string, mixed> */
    public static function of(LaidSheet $sheet): array
    {
        return [
            'breakdown' => $sheet->breakdown->id,
            'title' => $sheet->breakdown->title,
            'stage' => $sheet->stage?->text(),
            'stage_name' => $sheet->stageName,
            'say' => $sheet->say,
            'tempo' => $sheet->tempo->bpm,
            'next' => ['tempo' => $sheet->next->tempo, 'words' => $sheet->next->words],
            'tempos' => $sheet->tempos,
            'bars' => $sheet->bars,
            'loop' => $sheet->loop,
            'gate_ms' => $sheet->gate->biasMs,
            'level' => $sheet->level,
            'sketch' => HandSketch::of($sheet->hand, $sheet->timeline->map->first()),
            'slots' => HandResource::slots($sheet->hand->pattern, $sheet->timeline->map->first()),
            'grips' => self::grips($sheet),
            'timeline' => TimelineResource::of($sheet->desk, $sheet->tempo, $sheet->timeline),
        ];
    }

    /** @return list<array{symbol: string, voicing: array<string, mixed>}> */
    private static function grips(LaidSheet $sheet): array
    {
        $grips = [];
        foreach ($sheet->grips as $line) {
            foreach ($line->form->chords as $place => $chord) {
                $grip = $line->path->voicings[$place];
                $grips[$chord->chord->text().json_encode($grip->frets)] ??= [
                    'symbol' => $chord->chord->text(),
                    'voicing' => VoicingResource::of($grip, $sheet->desk->breakdown->neck),
                ];
            }
        }

        return array_values($grips);
    }
}
