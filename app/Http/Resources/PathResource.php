<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Toolbox;
use Gravik\Chart\LinkedPins;
use Gravik\Chart\Pin;
use Gravik\Chart\PlacedApproach;
use Gravik\Chart\VoicedForm;
use Gravik\Harmony\Numeral;
use Gravik\Neck\CapoPlan;
use Gravik\Neck\PathFinder;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'VoicedChord', required: ['section', 'bar', 'form_bar', 'at', 'beat', 'beats', 'symbol', 'numeral', 'shape', 'pinned', 'linked', 'follows', 'walk', 'voicing'], properties: [
    new OA\Property(property: 'section', type: 'integer'),
    new OA\Property(property: 'bar', description: 'within the section, from 0', type: 'integer'),
    new OA\Property(property: 'form_bar', description: 'within the form, from 0', type: 'integer'),
    new OA\Property(property: 'at', description: 'ticks from the bar line', type: 'integer'),
    new OA\Property(property: 'beat', description: 'of the bar, from 1', type: 'integer'),
    new OA\Property(property: 'beats', type: 'number'),
    new OA\Property(property: 'symbol', type: 'string'),
    new OA\Property(property: 'numeral', type: 'string'),
    new OA\Property(property: 'shape', description: 'what the hand holds above the capo; null without one', type: 'string', nullable: true),
    new OA\Property(property: 'pinned', description: 'whether this grip is the pinned one; in a second place pins are left aside', type: 'boolean'),
    new OA\Property(property: 'linked', description: 'whether the same kind of chord close by follows this grip', type: 'boolean'),
    new OA\Property(property: 'follows', description: 'whether it follows such a grip itself', type: 'boolean'),
    new OA\Property(property: 'walk', ref: '#/components/schemas/ApproachOffer', description: 'how the hand comes to it; null where nothing is laid down', nullable: true),
    new OA\Property(property: 'voicing', ref: '#/components/schemas/Voicing'),
])]
#[OA\Schema(schema: 'Move', required: ['frets', 'held', 'top'], properties: [
    new OA\Property(property: 'frets', type: 'integer'),
    new OA\Property(property: 'held', type: 'integer'),
    new OA\Property(property: 'top', type: 'integer'),
])]
#[OA\Schema(schema: 'Path', required: ['cost', 'candidates', 'travel', 'without_open_root', 'chords', 'moves', 'loose'], properties: [
    new OA\Property(property: 'travel', description: 'over the whole line', required: ['frets', 'held'], properties: [
        new OA\Property(property: 'frets', description: 'travelled by the first finger', type: 'integer'),
        new OA\Property(property: 'held', description: 'notes that stay on their string', type: 'integer'),
    ], type: 'object'),
    new OA\Property(property: 'without_open_root', description: 'chords whose root no open string gives', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'cost', type: 'number'),
    new OA\Property(property: 'candidates', description: 'how many grips a chord were weighed', type: 'integer'),
    new OA\Property(property: 'chords', type: 'array', items: new OA\Items(ref: '#/components/schemas/VoicedChord')),
    new OA\Property(property: 'moves', type: 'array', items: new OA\Items(ref: '#/components/schemas/Move')),
    new OA\Property(property: 'loose', description: 'pins that fit no chord any more', type: 'array', items: new OA\Items(ref: '#/components/schemas/LoosePin')),
])]
#[OA\Schema(schema: 'LoosePin', required: ['section', 'bar', 'at', 'symbol', 'frets'], properties: [
    new OA\Property(property: 'section', type: 'integer'),
    new OA\Property(property: 'bar', type: 'integer'),
    new OA\Property(property: 'at', type: 'integer'),
    new OA\Property(property: 'symbol', type: 'string'),
    new OA\Property(property: 'frets', type: 'array', items: new OA\Items(type: 'integer', nullable: true)),
])]
final class PathResource
{
    /** @return array<string, mixed> */
    public static function of(Breakdown $breakdown, VoicedForm $voiced): array
    {
        $numeral = Numeral::in($breakdown->key);
        $links = LinkedPins::of($voiced->form, $breakdown->pins);
        $placed = $breakdown->approaches === [] ? [] : Toolbox::of($breakdown)->approacher()->all($voiced, $breakdown->approaches);
        $walks = array_column(array_map(static fn (PlacedApproach $walk): array => [$walk->target, ApproachResource::of($breakdown, $walk)], $placed), 1, 0);
        $chords = [];
        foreach ($voiced->form->chords as $place => $chord) {
            $grip = $voiced->path->voicings[$place];
            $pin = array_values(array_filter($breakdown->pins, static fn (Pin $pin): bool => $pin->belongsTo($chord) && $pin->frets === $grip->frets && ! in_array($pin, $voiced->loose, true)))[0] ?? null;
            $chords[] = [
                'section' => $chord->section,
                'bar' => $chord->bar,
                'form_bar' => intdiv($chord->formTicks, $breakdown->meter->barTicks()),
                'at' => $chord->at,
                'beat' => intdiv($chord->at, $breakdown->meter->beatTicks()) + 1,
                'beats' => $chord->ticks / $breakdown->meter->beatTicks(),
                'symbol' => $chord->chord->text(),
                'numeral' => $numeral->text($chord->chord),
                'shape' => CapoPlan::shapeOf($chord->chord, $breakdown->key, $breakdown->neck->capo)?->text(),
                'pinned' => $pin !== null,
                'linked' => $pin !== null && $pin->linked,
                'follows' => $pin === null && $links->fretsFor($chord->chord) === $grip->frets,
                'walk' => $walks[$place] ?? null,
                'voicing' => VoicingResource::of($grip, $breakdown->neck),
            ];
        }

        return [
            'cost' => round($voiced->path->cost, 3),
            'candidates' => PathFinder::CANDIDATES,
            'travel' => ['frets' => $voiced->path->fretsTravelled(), 'held' => $voiced->path->notesHeld()],
            'without_open_root' => $voiced->withoutOpenRoot($breakdown->neck),
            'chords' => $chords,
            'moves' => $voiced->path->moves,
            'loose' => array_map(self::pin(...), $voiced->loose),
        ];
    }

    /** @return array<string, mixed> */
    public static function pin(Pin $pin): array
    {
        return ['section' => $pin->section, 'bar' => $pin->bar, 'at' => $pin->at, 'symbol' => $pin->symbol, 'frets' => $pin->frets];
    }
}
