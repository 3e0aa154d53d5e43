<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Desk;
use Gravik\Chart\FormChord;
use Gravik\Chart\LinkedPins;
use Gravik\Chart\Pin;
use Gravik\Chart\Setting;
use Gravik\Chart\VoicedForm;
use Gravik\Formats\BreakdownJson;
use Gravik\Harmony\Numeral;
use Gravik\Neck\Finder\CapoPlan;
use Gravik\Neck\Line\PathFinder;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'VoicedChord', required: [
    'place',
    'form_bar',
    'beat',
    'beats',
    'symbol',
    'numeral',
    'shape',
    'pinned',
    'nickname',
    'linked',
    'follows',
    'walk',
    'voicing',
], properties: [
    new OA\Property(property: 'place', ref: '#/components/schemas/Place'),
    new OA\Property(property: 'form_bar', description: 'within the written song, from 0', type: 'integer'),
    new OA\Property(property: 'beat', description: 'of the bar, from 1', type: 'integer'),
    new OA\Property(property: 'beats', type: 'number'),
    new OA\Property(property: 'symbol', type: 'string'),
    new OA\Property(property: 'numeral', type: 'string'),
    new OA\Property(property: 'shape', description: 'what the hand holds above the capo; null without one', type: 'string', nullable: true),
    new OA\Property(
        property: 'pinned',
        description: 'whether this grip is the pinned one; in a second place pins are left aside',
        type: 'boolean',
    ),
    new OA\Property(property: 'nickname', description: 'what the teacher calls the pinned grip', type: 'string'),
    new OA\Property(property: 'linked', description: 'whether the same kind of chord close by follows this grip', type: 'boolean'),
    new OA\Property(property: 'follows', description: 'whether it follows such a grip itself', type: 'boolean'),
    new OA\Property(
        property: 'walk',
        ref: '#/components/schemas/ApproachOffer',
        description: 'how the hand comes to it; null where nothing is laid down',
        nullable: true,
    ),
    new OA\Property(property: 'voicing', ref: '#/components/schemas/Voicing'),
])]
#[OA\Schema(schema: 'Place', required: ['section', 'ending', 'bar', 'tick'], properties: [
    new OA\Property(property: 'section', type: 'string'),
    new OA\Property(
        property: 'ending',
        description: 'of the section, from 0; null in what all its endings follow',
        type: 'integer',
        nullable: true,
    ),
    new OA\Property(property: 'bar', type: 'integer'),
    new OA\Property(property: 'tick', description: 'from the bar line', type: 'integer'),
])]
#[OA\Schema(schema: 'Move', required: ['frets', 'held', 'top'], properties: [
    new OA\Property(property: 'frets', type: 'integer'),
    new OA\Property(property: 'held', type: 'integer'),
    new OA\Property(property: 'top', type: 'integer'),
])]
#[OA\Schema(schema: 'Path', required: [
    'line',
    'cost',
    'candidates',
    'travel',
    'without_open_root',
    'chords',
    'moves',
    'loose',
], properties: [
    new OA\Property(property: 'line', description: 'its id', type: 'string'),
    new OA\Property(property: 'travel', description: 'over the whole line', required: ['frets', 'held'], properties: [
        new OA\Property(property: 'frets', description: 'travelled by the first finger', type: 'integer'),
        new OA\Property(property: 'held', description: 'notes that stay on their string', type: 'integer'),
    ], type: 'object'),
    new OA\Property(
        property: 'without_open_root',
        description: 'chords whose root no open string gives',
        type: 'array',
        items: new OA\Items(type: 'string'),
    ),
    new OA\Property(property: 'cost', type: 'number'),
    new OA\Property(property: 'candidates', description: 'how many grips a chord were weighed', type: 'integer'),
    new OA\Property(property: 'chords', type: 'array', items: new OA\Items(ref: '#/components/schemas/VoicedChord')),
    new OA\Property(property: 'moves', type: 'array', items: new OA\Items(ref: '#/components/schemas/Move')),
    new OA\Property(
        property: 'loose',
        description: 'pins that fit no chord any more',
        type: 'array',
        items: new OA\Items(ref: '#/components/schemas/LoosePin'),
    ),
])]
#[OA\Schema(schema: 'LoosePin', required: ['at', 'symbol', 'frets'], properties: [
    new OA\Property(property: 'at', ref: '#/components/schemas/Place'),
    new OA\Property(property: 'linked', type: 'boolean'),
    new OA\Property(property: 'symbol', type: 'string'),
    new OA\Property(property: 'frets', type: 'array', items: new OA\Items(type: 'integer', nullable: true)),
])]
final class PathResource
{
    /** @return array<string, mixed> */
    public static function of(Desk $desk, VoicedForm $voiced): array
    {
        $breakdown = $desk->breakdown;
        $links = LinkedPins::of($voiced->form, $desk->line()->pins);
        $walks = self::walks($desk, $voiced);
        $chords = [];
        foreach ($voiced->form->chords as $place => $chord) {
            $grip = $voiced->path->voicings[$place];
            $pin = self::pinOf($desk, $voiced, $place);
            $setting = self::settingOf($breakdown, $chord);
            $chords[] = [
                'place' => BreakdownJson::place($chord->at),
                'form_bar' => $chord->bar,
                'beat' => intdiv($chord->at->tick, $setting->meter->beatTicks()) + 1,
                'beats' => $chord->ticks / $setting->meter->beatTicks(),
                'symbol' => $chord->chord->text(),
                'numeral' => Numeral::in($setting->key)->text($chord->chord),
                'shape' => CapoPlan::shapeOf($chord->chord, $setting->key, $breakdown->neck->capo)?->text(),
                'pinned' => $pin !== null,
                'nickname' => $pin->nickname ?? '',
                'linked' => $pin !== null && $pin->linked,
                'follows' => $pin === null && $links->fretsFor($chord->chord) === $grip->frets,
                'walk' => $walks[$place] ?? null,
                'voicing' => VoicingResource::of($grip, $breakdown->neck),
            ];
        }

        return [
            'line' => $desk->line()->id,
            'cost' => round($voiced->path->cost, 3),
            'candidates' => PathFinder::CANDIDATES,
            'travel' => ['frets' => $voiced->path->fretsTravelled(), 'held' => $voiced->path->notesHeld()],
            'without_open_root' => $voiced->withoutOpenRoot($breakdown->neck),
            'chords' => $chords,
            'moves' => $voiced->path->moves,
            'loose' => array_map(BreakdownJson::pin(...), $voiced->loose),
        ];
    }

    /** @return array<int, array<string, mixed>> by written chord: how the hand comes to it where it comes first */
    private static function walks(Desk $desk, VoicedForm $voiced): array
    {
        if ($desk->breakdown->placed === []) {
            return [];
        }
        $course = $desk->breakdown->course();
        $map = $course->timeMap();
        $walks = [];
        foreach ($desk->tools()->approacher()->all($course, $voiced, $desk->breakdown->placed) as $walk) {
            $walks[$course->chords[$walk->target]->written] ??= ApproachResource::of($desk->breakdown, $map, $walk);
        }

        return $walks;
    }

    private static function pinOf(Desk $desk, VoicedForm $voiced, int $place): ?Pin
    {
        foreach ($desk->line()->pins as $pin) {
            if (
                $pin->belongsTo($voiced->form->chords[$place])
                && $pin->frets === $voiced->path->voicings[$place]->frets
                && ! in_array($pin, $voiced->loose, true)
            ) {
                return $pin;
            }
        }

        return null;
    }

    private static function settingOf(Breakdown $breakdown, FormChord $chord): Setting
    {
        foreach ($breakdown->sections as $section) {
            if ($section->id === $chord->at->section) {
                return $section->setting($breakdown->start);
            }
        }

        return $breakdown->start;
    }
}
