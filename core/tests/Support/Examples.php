<?php

declare(strict_types=1);

namespace Gravik\Tests\Support;

use Gravik\Breakdown\Breakdown;
use Gravik\Formats\BreakdownJson;
use Gravik\Formats\PatternJson;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\Stroke;
use Gravik\Strokes\Written\SlotLine;
use Gravik\Time\Meter;

/** Breakdowns to test with. Only what a test is about needs to be said. */
final class Examples
{
    /**
     * A part of a band as documents write it, called by its instrument.
     *
     * @param array<string, mixed> $told in place of what a part has of itself
     *
     * @return array<string, mixed>
     */
    public static function part(string $instrument, array $told = []): array
    {
        return $told + ['id' => $instrument, 'instrument' => $instrument, 'level' => 0.8, 'offsetMs' => 0, 'straight' => false];
    }

    /**
     * A document of version 1, which says most in the fewest words; the reader upgrades it.
     *
     * @param array<string, mixed> $fields in place of those of a plain two-bar tune
     *
     * @return array<string, mixed>
     */
    public static function document(array $fields = [], string $slots = 'x.xcx.xx', int $grid = 2): array
    {
        $meter = is_string($fields['meter'] ?? null) ? $fields['meter'] : '4/4';

        return $fields + [
            'format' => BreakdownJson::FORMAT,
            'version' => 1,
            'title' => 'Tide Table',
            'genre' => 'Test drive',
            'key' => 'D minor',
            'meter' => $meter,
            'tempo' => 120,
            'feel' => ['mode' => 'fixed', 'ratio' => 1, 'unit' => 'eighth'],
            'tuning' => 'standard',
            'capo' => 0,
            'company' => 'alone',
            'sections' => [['name' => 'A', 'line' => '| Dm | A7 |']],
            'pins' => [],
            'approaches' => [],
            'path' => [
                'window' => '0-15',
                'strings' => '',
                'keepTop' => false,
                'bass' => 'free',
                'parallel' => false,
                'weights' => ['shift' => 2, 'fingers' => 0.3, 'top' => 0.15, 'rank' => 1],
            ],
            'pattern' => (new PatternJson())->write(self::pattern($slots, $meter, $grid)),
            'school' => 'pendulum',
            'band' => ['groove' => \Gravik\Band\Groove::defaultFor(Meter::parse($meter))->slug, 'parts' => []],
            'notes' => '',
        ];
    }

    /** @return array<string, mixed> a document of version 1 in which every field is used */
    public static function old(): array
    {
        return self::document([
            'gates' => [['stage' => 2, 'biasMs' => 25, 'spreadMs' => 30.5, 'swingPoints' => 6, 'missedShare' => 0.05]],
            'tempo' => 138.5,
            'feel' => ['mode' => 'follows-tempo', 'ratio' => 1.3, 'unit' => 'sixteenth'],
            'tuning' => 'D2,A2,D3,G3,B3,E4',
            'capo' => 2,
            'company' => 'shell',
            'sections' => [['name' => 'Intro', 'line' => '| Dm6 | % |'], ['name' => 'A', 'line' => '']],
            'pins' => [['section' => 0, 'bar' => 0, 'at' => 0, 'symbol' => 'Dm6', 'frets' => [null, 5, 7, 4, 6, null], 'linked' => true]],
            'approaches' => [['section' => 0, 'bar' => 0, 'at' => 0, 'symbol' => 'Dm6', 'kind' => 'walk-up', 'steps' => 3,
                'slotTicks' => 480]],
            'path' => ['window' => '3-9', 'strings' => '4-1', 'keepTop' => true, 'bass' => 'stepwise', 'parallel' => true,
                'weights' => ['shift' => 4.5, 'fingers' => 0, 'top' => 2, 'rank' => 1], 'loop' => true],
            'pattern' => ['ticks' => 7680, 'streams' => [
                ['name' => 'thumb', 'strokes' => [['at' => 0, 'division' => 1, 'action' => 'pick', 'direction' => 'down',
                    'by' => 'thumb', 'strings' => [6, 5], 'articulation' => 'palm-mute', 'accent' => 3,
                    'length' => ['until' => 480], 'stoppedBy' => 'pick-hand', 'ends' => [['strings' => [6],
                        'length' => ['share' => 0.5], 'stoppedBy' => null]], 'offsetMs' => -12.5,
                    'ornament' => ['kind' => 'slide-in', 'frets' => -1], 'chord' => 'this', 'fixed' => ['direction'], 'level' => 2]]],
                ['name' => 'brush', 'strokes' => [['at' => 640, 'division' => 3, 'action' => 'brush', 'direction' => null,
                    'by' => 'i', 'zone' => 'high', 'articulation' => 'ring', 'accent' => 0,
                    'length' => ['until' => 'change'], 'stoppedBy' => null, 'ends' => [], 'offsetMs' => 0, 'ornament' => null,
                        'chord' => 'next', 'fixed' => []]]],
            ]],
            'school' => 'all-down',
            'band' => ['groove' => 'shuffle', 'parts' => [['name' => 'drums', 'level' => 0.5, 'offsetMs' => 10, 'straight' => true]]],
            'notes' => "Count aloud.\nThen not.",
        ]);
    }

    /** @return array<string, mixed> a document in which every field is used */
    public static function full(): array
    {
        $old = self::old();
        $strokes = ['ticks' => $old['pattern']['ticks'], 'streams' => $old['pattern']['streams']];
        $place = static fn (int $bar, int $tick = 0, ?int $ending = null): array => [
            'section' => 'a',
            'ending' => $ending,
            'bar' => $bar,
            'tick' => $tick,
        ];
        $waltz = (new PatternJson())->write(self::pattern('x.xxxx', '3/4', 2));

        return [
            'format' => BreakdownJson::FORMAT,
            'version' => BreakdownJson::VERSION,
            'title' => 'Tide Table',
            'genre' => 'Test drive',
            'notes' => "Count aloud.\nThen not.",
            'start' => [
                'key' => 'D minor',
                'meter' => '4/4',
                'tempo' => 138.5,
                'feel' => ['mode' => 'follows-tempo', 'ratio' => 1.3, 'unit' => 'sixteenth'],
            ],
            'guitar' => ['tuning' => 'D2,A2,D3,G3,B3,E4', 'capo' => 2, 'setUp' => 'thumb pick, near the bridge', 'recordedIn' => 'open-d'],
            'sections' => [
                [
                    'id' => 'a',
                    'name' => 'Verse',
                    'line' => '| Dm6 | % |',
                    'endings' => [['times' => [1], 'line' => '| A7 |'], ['times' => [2, 3], 'line' => '| Gm A7 | Dm |']],
                    'dynamics' => [['bar' => 0, 'level' => 2], ['bar' => 2, 'level' => 4, 'grows' => true]],
                    'words' => [['bar' => 1, 'text' => 'when the tide is in']],
                ],
                [
                    'id' => 'b',
                    'name' => 'Bridge',
                    'line' => '| F | C |',
                    'from' => ['key' => 'F major', 'meter' => '3/4', 'tempo' => 90, 'feel' => self::swing(2)],
                ],
            ],
            'form' => [['section' => 'a', 'times' => 2], ['section' => 'b', 'times' => 1], ['section' => 'a', 'times' => 1]],
            'patterns' => [
                ['id' => 'p1', 'name' => 'plain', 'meter' => '4/4', 'school' => 'all-down', 'runsOn' => true] + $strokes,
                ['id' => 'p2', 'name' => 'waltz', 'meter' => '3/4', 'school' => 'pendulum'] + $waltz,
                ['id' => 'p3', 'name' => 'plain alone', 'meter' => '4/4', 'school' => 'all-down', 'aloneOf' => 'p1'] + $strokes,
            ],
            'lines' => [
                ['id' => 'low', 'name' => 'low grips', 'company' => 'shell', 'wishes' => $old['path'], 'pins' => [
                    ['at' => $place(0), 'symbol' => 'Dm6', 'frets' => [null, 5, 7, 4, 6, null], 'linked' => true, 'nickname' => 'the crab'],
                    ['at' => $place(0, 1920, 1), 'symbol' => 'A7', 'frets' => [null, 0, 2, 0, 2, 0]],
                ]],
                [
                    'id' => 'high',
                    'name' => 'high grips',
                    'company' => 'with-bass',
                    'wishes' => ['window' => '5-12', 'strings' => ''] + $old['path'],
                    'pins' => [],
                ],
                ['id' => 'thumbed', 'name' => 'alone', 'company' => 'alone', 'wishes' => ['window' => '0-9', 'strings' => ''] + $old['path'],
                    'pins' => [], 'aloneOf' => 'low'],
            ],
            'moves' => [['id' => 'm1', 'name' => 'walk in', 'rule' => ['kind' => 'walk-up', 'steps' => 2, 'slotTicks' => 480]]],
            'figures' => [[
                'id' => 'f1',
                'name' => 'answer',
                'nickname' => 'the gull',
                'meter' => '4/4',
                'relativeTo' => 'key',
                'over' => 'Dm6',
                'key' => 'D minor',
                'ticks' => 3840,
                'streams' => [['name' => 'figure', 'strokes' => [
                    (new PatternJson())->writeStroke(new Stroke(0, 1)) + ['notes' => [
                        ['string' => 3, 'fret' => 2],
                        ['string' => 2, 'fret' => 3, 'ornament' => ['kind' => 'hammer-on', 'frets' => -2]],
                    ]],
                    (new PatternJson())->writeStroke(new Stroke(1920, 2)),
                ]]],
            ]],
            'placed' => [
                ['what' => 'm1', 'at' => $place(0), 'symbol' => 'Dm6', 'passes' => ['2'], 'times' => [1]],
                ['what' => 'f1', 'at' => $place(1), 'passes' => ['2'], 'times' => [2], 'instead' => false, 'octave' => 1, 'near' => 7,
                    'fixed' => [['stream' => 0, 'tick' => 0, 'note' => 2, 'string' => 1, 'fret' => 10]]],
            ],
            'parts' => [
                ['id' => 'guitar', 'instrument' => 'guitar', 'level' => 0.8, 'offsetMs' => 0, 'straight' => false],
                ['id' => 'drums', 'instrument' => 'drums', 'level' => 0.5, 'offsetMs' => 10, 'straight' => true, 'groove' => 'shuffle'],
                ['id' => 'keys', 'instrument' => 'keys', 'level' => 0.4, 'offsetMs' => 0, 'straight' => false, 'register' => [48, 72],
                    'plays' => 'pads', 'sound' => 'organ'],
                ['id' => 'lead', 'instrument' => 'lead', 'level' => 0.9, 'offsetMs' => 0, 'straight' => false, 'plays' => 'blown',
                    'tune' => ['name' => 'Ebb', 'notes' => [[0, 960, 1, 69, 100], [1920, 480, 2, 72, 80]], 'passes' => ['1']]],
            ],
            'passes' => [
                ['id' => '1', 'name' => 'plain', 'notes' => '', 'cells' => []],
                ['id' => '2', 'name' => 'solo', 'notes' => 'under the horn', 'cells' => [
                    [
                        'part' => 'guitar',
                        'section' => 'a',
                        'times' => [2],
                        'role' => 'active',
                        'pattern' => 'p1',
                        'line' => 'high',
                        'level' => 2,
                    ],
                    ['part' => 'drums', 'section' => 'b', 'role' => 'out'],
                    [
                        'part' => 'guitar',
                        'section' => 'a',
                        'bars' => [1, 2],
                        'texture' => 'rings',
                        'dynamic' => -1,
                        'note' => 'under the voice',
                    ],
                ], 'lead' => 'horn'],
            ],
            'cells' => [['part' => 'drums', 'section' => 'b', 'groove' => 'slipway-waltz']],
            'lesson' => [[
                'stage' => 'damped-rhythm',
                'of' => 'own-1',
                'dropped' => true,
                'name' => 'Rain on the roof',
                'say' => 'Nothing rings; the arm does not care.',
                'mistakes' => ['The arm stops.'],
                'ladder' => ['start' => 60, 'goal' => 90, 'minutes' => 8, 'percent' => 4.5, 'mode' => 'ramp', 'bars' => 2],
                'gate' => ['biasMs' => 25, 'spreadMs' => 30.5, 'swingPoints' => 6, 'missedShare' => 0.05],
                'level' => 2,
                'waits' => ['names', 'click'],
                'seen' => 'the arm, damped',
            ]],
            'balance' => [['on' => '2026-03-09', 'seat' => 'guitar', 'gainDb' => -6, 'verdict' => 'sits'],
                ['on' => '2026-03-09', 'seat' => 'room', 'verdict' => 'too-soft']],
            'marks' => [
                ['on' => ['what' => 'stroke', 'field' => 'direction', 'id' => 'p1', 'stream' => 0, 'tick' => 0], 'is' => 'either', 'other' => 'up'],
                ['on' => ['what' => 'grip', 'field' => 'frets', 'id' => 'low', 'at' => $place(0)], 'is' => 'colour', 'note' => 'the ninth rubs'],
            ],
        ];
    }

    /** @param array<string, mixed> $fields */
    public static function breakdown(array $fields = [], string $slots = 'x.xcx.xx', int $grid = 2): Breakdown
    {
        return (new BreakdownJson())->read(self::document($fields, $slots, $grid));
    }

    public static function pattern(string $slots, string $meter = '4/4', int $grid = 2): Pattern
    {
        return SlotLine::parse($slots, Meter::parse($meter), $grid);
    }

    /** @return array{mode: string, ratio: float, unit: string} */
    public static function swing(float $ratio, string $unit = 'eighth'): array
    {
        return ['mode' => 'fixed', 'ratio' => $ratio, 'unit' => $unit];
    }
}
