<?php

declare(strict_types=1);

namespace Database\Seeders;

use Gravik\Breakdown\Breakdown;
use Gravik\Formats\BreakdownJson;
use Gravik\Formats\PatternJson;
use Gravik\Strokes\Articulation;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\StoppedBy;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;
use Gravik\Strokes\Written\SlotLine;
use Gravik\Time\Meter;

/** The repertoire of a harbour town's boat-dance band: one breakdown a feel. All of it is made up. */
final class DemoBreakdowns
{
    /** @return list<Breakdown> */
    public static function all(): array
    {
        return [
            self::make('Marzipan Ferry', 'Upbeat shuffle', 'A♭ major', '4/4', 138, ['fixed', 2, 'eighth'], 'with-bass', [
                ['A', '| A♭6 B♭m7 | Bdim7 A♭6 | D♭9 | E♭9 | A♭6 | F7 | B♭m7 E♭9 | A♭6 |'],
                ['B', '| D♭9 | % | A♭6 | % | B♭7 | % | E♭9 | % |'],
            ], '.xcx.xcX', 2, 'shuffle', 'The upbeats carry it: show the beat first, then hide it.', short: [5], pinned: [
                'A♭6',
                [null, null, 6, 8, 6, 8],
                [[0, 0, 0], [0, 1, 1920], [0, 4, 0], [0, 7, 0], [1, 2, 0], [1, 3, 0]],
            ]),
            self::make('Customs Shed', 'Straight eighth drive', 'D minor', '4/4', 112, ['fixed', 1, 'eighth'], 'alone', [
                ['Verse', '| Dm | Dm/C | B♭ | A7 | Dm | Dm/C | Gm | A7 |'],
            ], 'X.xcxxcx', 2, 'straight-drive', 'Let the chucks stand where the snare is.'),
            self::make('Gull Alley', 'Sixteenth chucks', 'F minor', '4/4', 96, ['fixed', 1.2, 'sixteenth'], 'with-bass', [
                ['Vamp', '| Fm9 | B♭13 | Fm9 | B♭13 |'],
            ], 'X.cxc.xcccx.c.xc', 4, 'sixteenth-funk', 'The hand never stops; only the left hand decides what sounds.', pinned: [
                'Fm9',
                [null, 8, 6, 8, 8, null],
                [[0, 0, 0], [0, 2, 0]],
            ]),
            self::make('Nine Bollards', 'Four to the bar', 'E♭ major', '4/4', 196, ['follows-tempo', 1, 'eighth'], 'shell', [
                ['A', '| E♭6 | Gm7 C7♭9 | Fm7 | A♭m6 D♭9 | E♭6 C9 | Fm7 B♭9 | E♭6 G♭9 | Fm7 B♭9 |'],
            ], 'x.X.x.X.', 2, 'four-walk', 'Long on 1 and 3, dry on 2 and 4. Hardly louder than the brushes.', short: [2, 6], school: 'all-down'),
            self::make('Rope Walk Waltz', 'Waltz', 'D♭ major', '3/4', 152, ['fixed', 1, 'eighth'], 'alone', [
                ['A', '| D♭ | A♭7 | G♭ | D♭ | B♭m | E♭7 | A♭7 | D♭ |'],
            ], 'x.x.xx', 2, 'slipway-waltz', 'Bass first, then two light brushes.'),
            self::make('Slow Dredger', 'Slow twelve', 'F♯ minor', '12/8', 58, ['fixed', 1, 'eighth'], 'with-bass', [
                ['A', '| F♯m7 | Bm7 | F♯m7 | C♯7 | Bm7 | C♯7 | F♯m7 D9 | C♯7 |'],
            ], 'x..X.xx..X.x', 3, 'slow-twelve', 'Count the little ones aloud: 1 and a.'),
        ];
    }

    /**
     * @param array{string, float|int, string} $feel
     * @param list<array{string, string}>      $sections
     * @param list<int>                        $short    slots played short
     * @param array{string, list<int|null>, list<array{int, int, int}>} $pinned a grip, and its places: section, bar, ticks
     */
    private static function make(
        string $title,
        string $genre,
        string $key,
        string $meter,
        int $tempo,
        array $feel,
        string $company,
        array $sections,
        string $slots,
        int $grid,
        string $groove,
        string $notes,
        array $short = [],
        string $school = 'pendulum',
        array $pinned = ['', [], []],
    ): Breakdown {
        [$symbol, $frets, $places] = $pinned;

        $ids = array_map(static fn (int $place): string => 's'.($place + 1), array_keys($sections));
        $part = static fn (string $instrument, float $level): array => [
            'id' => $instrument,
            'instrument' => $instrument,
            'level' => $level,
            'offsetMs' => 0,
            'straight' => false,
        ]
            + ($instrument === 'guitar' ? [] : ['groove' => $groove]);

        return (new BreakdownJson())->read([
            'format' => BreakdownJson::FORMAT,
            'version' => BreakdownJson::VERSION,
            'title' => $title,
            'genre' => $genre,
            'notes' => $notes,
            'start' => [
                'key' => $key,
                'meter' => $meter,
                'tempo' => $tempo,
                'feel' => ['mode' => $feel[0], 'ratio' => $feel[1], 'unit' => $feel[2]],
            ],
            'guitar' => ['tuning' => 'standard', 'capo' => 0],
            'sections' => array_map(
                static fn (string $id, array $section): array => ['id' => $id, 'name' => $section[0], 'line' => $section[1]],
                $ids,
                $sections,
            ),
            'form' => array_map(static fn (string $id): array => ['section' => $id, 'times' => 1], $ids),
            'patterns' => [[
                'id' => 'p1',
                'name' => '',
                'meter' => $meter,
                'school' => $school,
            ] + (new PatternJson())->write(self::pattern($slots, Meter::parse($meter), $grid, $short))],
            'lines' => [['id' => 'l1', 'name' => '', 'company' => $company, 'pins' => array_map(static fn (array $place): array => [
                'at' => [
                    'section' => $ids[$place[0]],
                    'ending' => null,
                    'bar' => $place[1],
                    'tick' => $place[2],
                ], 'symbol' => $symbol, 'frets' => $frets,
            ], $places)]],
            'moves' => [],
            'placed' => [],
            'parts' => [$part('drums', 0.7), $part('bass', 0.8), $part('guitar', 0.9)],
            'passes' => [['id' => '1', 'name' => '', 'notes' => '', 'cells' => []]],
            'cells' => [],
            'lesson' => [],
        ]);
    }

    /** @param list<int> $short slots that are let go before the next */
    private static function pattern(string $slots, Meter $meter, int $grid, array $short): Pattern
    {
        $pattern = SlotLine::parse($slots, $meter, $grid);
        $let = static fn (Stroke $stroke): Stroke => in_array(intdiv($stroke->at, $pattern->slotTicks()), $short, true)
            ? new Stroke(
                $stroke->at,
                $stroke->division,
                articulation: Articulation::Short,
                accent: $stroke->accent,
                stoppedBy: StoppedBy::FrettingHand,
            )
            : $stroke;

        return $pattern->withStreams(array_map(
            static fn (Stream $stream): Stream => new Stream($stream->name, array_map($let, $stream->strokes)),
            $pattern->streams,
        ));
    }
}
