<?php

declare(strict_types=1);

namespace App\Bench;

use Database\Seeders\DemoBreakdowns;
use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Band\Way;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Change\FigureKeeper;
use Gravik\Breakdown\Change\FigurePlacer;
use Gravik\Breakdown\Change\PartSetter;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Breakdown\RelativeTo;
use Gravik\Breakdown\TypedFigure;
use Gravik\Chart\Place;
use Gravik\Formats\BreakdownJson;
use Gravik\Harmony\ChordSymbol;
use Gravik\Time\Meter;

/** 64 bars of a whole song: four sections of eight bars, two passes, two patterns, two ways on the neck. */
final readonly class LongSong
{
    private const SECTIONS = [
        '| Dm6 | B♭7 | Gm7 A7 | Dm6 | Gm7 C9 | F6 D7♭9 | Gm7 A7 | Dm6 A7♭9 |',
        '| Gm7 | C9 | F6 | % | Em7♭5 A7♭9 | % | Dm6 | A7♭9 |',
        '| D7 | % | G7 | % | C7 | % | F7 | A7♭9 |',
        '| Dm6 | B♭7 | Gm7 A7 | Dm6 | B♭7 | A7 | Dm6 Gm7 | Dm6 |',
    ];

    private const LEVELS = [3, 2, 1];

    /**
     * @param int $changes how many cells were changed one after another; each time another level, pattern or line in another section
     *
     * @return array<string, mixed> a document
     */
    public static function document(int $changes = 0): array
    {
        $demo = (new BreakdownJson())->write(DemoBreakdowns::all()[0]);
        $sections = array_map(
            static fn (int $number): array => ['id' => "s{$number}", 'name' => "{$number}", 'line' => self::SECTIONS[$number]],
            array_keys(self::SECTIONS),
        );
        $cells = array_map(static fn (array $section, int $number): array => [
            'part' => 'guitar',
            'section' => $section['id'],
            'pattern' => self::turn($changes, 3 * $number) % 2 === 0 ? 'p1' : 'busier',
            'line' => self::turn($changes, 3 * $number + 1) % 2 === 0 ? 'l1' : 'high',
            'level' => self::LEVELS[self::turn($changes, 3 * $number + 2) % 3],
        ], $sections, array_keys($sections));

        return [
            'sections' => $sections,
            'form' => array_map(static fn (array $section): array => ['section' => $section['id'], 'times' => 1], $sections),
            'patterns' => [
                ['id' => 'p1'] + $demo['patterns'][0],
                ['id' => 'busier', 'name' => 'busier', 'school' => 'all-down'] + $demo['patterns'][0],
            ],
            'lines' => [
                ['id' => 'l1', 'pins' => []] + $demo['lines'][0],
                ['id' => 'high', 'name' => 'high', 'pins' => [], 'wishes' => ['window' => '5-15'] + $demo['lines'][0]['wishes']]
                    + $demo['lines'][0],
            ],
            'placed' => [],
            'passes' => [
                ['id' => '1', 'name' => '', 'notes' => '', 'cells' => []],
                ['id' => '2', 'name' => '', 'notes' => '', 'cells' => $cells],
            ],
        ] + $demo;
    }

    /**
     * The same in five passes, 160 bars, with an answer in the third bar of each section and a fill in its last.
     *
     * @param int $changes as above
     *
     * @return array<string, mixed> a document
     */
    public static function inFivePasses(int $changes = 0): array
    {
        $song = self::document($changes);
        [$plain, $other] = $song['passes'];
        $figures = [
            'answer' => ['1=1:5 &=2:6 2=2:8 (&) 3=3:7+2:6 (&) (4)'],
            'fill' => ['1=3:7 &=3:5 2=4:7 & 3=4:5h7 & 4=5:5 &=5:8'],
        ];
        $over = ['answer' => [2, null], 'fill' => [7, ['2', '3', '5']]];
        $breakdown = (new BreakdownJson())->read([
            'passes' => [$plain, $other, ['id' => '3'] + $plain, ['id' => '4'] + $other, ['id' => '5'] + $plain],
        ] + $song);
        foreach ($figures as $id => $typed) {
            $figure = TypedFigure::read(
                $id,
                $id,
                $typed,
                Meter::parse('4/4'),
                ChordSymbol::parse('Dm7'),
                $breakdown->start->key,
                RelativeTo::Chord,
            );
            $breakdown = (new FigureKeeper())->keep($breakdown, $figure);
            foreach ($breakdown->sections as $section) {
                $place = new Place($section->id, null, $over[$id][0], 0);
                $breakdown = (new FigurePlacer())->place($breakdown, new PlacedFigure($figure, $place, $over[$id][1]));
            }
        }

        return (new BreakdownJson())->write($breakdown);
    }

    /** The same with six in the band: a bass that walks, keys, horns and somebody who leads. */
    public static function withBand(int $changes = 0): Breakdown
    {
        $song = (new BreakdownJson())->read(self::inFivePasses($changes));
        foreach ([Instrument::Keys, Instrument::Horns, Instrument::Lead] as $instrument) {
            $song = (new PartSetter())->add($song, $instrument);
        }

        return $song->with(parts: array_map(
            static fn (BandPart $part): BandPart => $part->instrument === Instrument::Bass ? $part->with(way: Way::Walking) : $part,
            $song->parts,
        ));
    }

    /** How often the field at this place of twelve has changed, where change after change goes round them all. */
    private static function turn(int $changes, int $place): int
    {
        return intdiv($changes + 11 - $place, 12);
    }
}
