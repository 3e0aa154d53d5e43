<?php

declare(strict_types=1);

use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Failure\ScaleUnknown;
use Gravik\Harmony\Key;
use Gravik\Harmony\Scale;
use Gravik\Neck\FretRange;
use Gravik\Neck\Melody\DoubleStop;
use Gravik\Neck\Melody\DoubleStopKind;
use Gravik\Neck\Melody\NeckMap;
use Gravik\Neck\Neck;
use Gravik\Neck\Tuning;

/** The stops as "2-1: 5 5 fourth both", by checking every pair of frets on every pair of strings. */
function everyStop(string $key, array $scale, array $chord, string $tuning = 'standard', int $last = 12): array
{
    $open = Tuning::parse($tuning)->openMidi(0);
    $tonic = Key::parse($key)->tonic->pitchClass();
    $stops = [];
    foreach ($open as $low => $lowest) {
        foreach ([1 => [3 => 'third', 4 => 'third', 5 => 'fourth'], 2 => [8 => 'sixth', 9 => 'sixth']] as $apart => $names) {
            for ($a = 0; $a <= $last && isset($open[$low + $apart]); $a++) {
                for ($b = 0; $b <= $last; $b++) {
                    $notes = [$lowest + $a, $open[$low + $apart] + $b];
                    $name = $names[$notes[1] - $notes[0]] ?? null;
                    $inChord = array_map(static fn (int $note): bool => in_array($note % 12, $chord, true), $notes);
                    $fights = array_filter(
                        $notes,
                        static fn (int $note): bool => ! in_array($note % 12, $chord, true) && in_array(($note + 11) % 12, $chord, true),
                    ) !== [];
                    $inKey = array_map(static fn (int $note): bool => in_array(($note - $tonic + 120) % 12, $scale, true), $notes);
                    if (
                        $name !== null
                        && ($a === 0 || $b === 0 || abs($a - $b) <= 3)
                        && ($inChord[0] || $inKey[0])
                        && ($inChord[1] || $inKey[1])
                    ) {
                        $stops[] = sprintf(
                            '%d-%d: %d %d %s %s',
                            count($open) - $low,
                            count($open) - $low - $apart,
                            $a,
                            $b,
                            $name,
                            ['passing', $fights ? 'passing' : 'one', 'both'][count(array_filter($inChord))],
                        );
                    }
                }
            }
        }
    }
    sort($stops);

    return $stops;
}

it('finds every double stop of the key on a chord, and says how it sits', function (string $key, array $scale, string $symbol, array $chord, string $tuning): void {
    $map = new NeckMap(new Neck(Tuning::parse($tuning)), new FretRange(0, 12));
    $found = array_map(
        static fn (DoubleStop $stop): string => sprintf(
            '%d-%d: %d %d %s %s',
            $stop->strings[0],
            $stop->strings[1],
            $stop->frets[0],
            $stop->frets[1],
            $stop->interval,
            $stop->kind->value,
        ),
        $map->doubleStops(Key::parse($key), ChordSymbol::parse($symbol)),
    );
    sort($found);

    expect($found)->toBe(everyStop($key, $scale, $chord, $tuning));
})->with([
    'I7 in E' => ['E', [0, 2, 4, 5, 7, 9, 11], 'E7', [4, 8, 11, 2], 'standard'],
    'iv in D minor' => ['D minor', [0, 2, 3, 5, 7, 8, 10], 'Gm7', [7, 10, 2, 5], 'standard'],
    'V7 in open D' => ['D', [0, 2, 4, 5, 7, 9, 11], 'A7', [9, 1, 4, 7], 'open-d'],
    'IV in open G' => ['G', [0, 2, 4, 5, 7, 9, 11], 'C', [0, 4, 7], 'open-g'],
]);

it('offers grace hammer-ons from a scale note onto a chord tone, one or two frets up', function (): void {
    $stops = (new NeckMap(new Neck(Tuning::standard())))->doubleStops(Key::parse('E'), ChordSymbol::parse('E'));
    $hammered = array_filter($stops, static fn (DoubleStop $stop): bool => $stop->strings === [2, 1] && $stop->frets === [9, 7]);

    expect(array_values($hammered)[0]->kind)->toBe(DoubleStopKind::BothChordTones)
        ->and(array_values($hammered)[0]->hammers)->toContain(
            ['string' => 2, 'from' => 7, 'to' => 9],
            ['string' => 1, 'from' => 5, 'to' => 7],
        );
});

it('shows the notes for fills within the hand\'s position', function (string $scale, int $position, array $strings): void {
    $zone = (new NeckMap(new Neck(Tuning::standard())))->fillZone(
        Scale::named($scale, Key::parse('A minor')),
        ChordSymbol::parse('Am7'),
        $position,
    );
    $byString = [];
    foreach ($zone as $note) {
        $byString[$note['string']][] = $note['fret'];
    }
    expect($byString[1])->toBe($strings[0])->and($byString[6])->toBe($strings[1])
        ->and(array_unique(array_column(
            array_filter($zone, static fn (array $note): bool => $note['chordTone']),
            'chordTone',
        )))->toBe([true]);
})->with([
    'the pentatonic box at the fifth fret' => ['minor-pentatonic', 5, [[5, 8], [5, 8]]],
    'the whole key there' => ['key', 5, [[5, 7, 8], [5, 7, 8]]],
    'an open grip keeps its open strings' => ['minor-pentatonic', 0, [[0, 3], [0, 3]]],
]);

it('knows no other scale for fills', function (): void {
    Scale::named('blues', Key::parse('A'));
})->throws(ScaleUnknown::class, 'Choose key, major-pentatonic or minor-pentatonic');
