<?php

declare(strict_types=1);

use Gravik\Harmony\ChordSymbol;
use Gravik\Neck\Melody\FigureMover;
use Gravik\Neck\Melody\RiffNote;
use Gravik\Neck\Neck;
use Gravik\Neck\Tuning;

/**
 * "5:3 4:2+3:2": what is struck together joined by +.
 *
 * @return list<list<RiffNote>>
 */
function figureSteps(string $typed): array
{
    $open = (new Neck(Tuning::standard()))->openMidi();

    return array_map(static fn (string $step): array => array_map(static function (string $note) use ($open): RiffNote {
        [$string, $fret] = array_map(intval(...), explode(':', $note));

        return new RiffNote($string, $fret, $open[6 - $string] + $fret);
    }, explode('+', $step)), explode(' ', $typed));
}

/** @param list<list<?RiffNote>> $laid */
function laidText(array $laid): string
{
    return implode(' ', array_map(
        static fn (array $step): string => implode('+', array_map(
            static fn (?RiffNote $note): string => $note === null ? '-' : "{$note->string}:{$note->fret}",
            $step,
        )),
        $laid,
    ));
}

function overChord(string $typed, string $from, string $to, int $octaves = 0, int $near = 1): array
{
    return (new FigureMover(new Neck(Tuning::standard())))
        ->overChord(figureSteps($typed), ChordSymbol::parse($from), ChordSymbol::parse($to), $octaves, $near);
}

it('leaves a figure where it lies under the hand, and moves it with the hand', function (string $typed, string $from, string $to, int $near, string $laid): void {
    expect(laidText(overChord($typed, $from, $to, 0, $near)))->toBe($laid);
})->with([
    'at home' => ['5:3 4:2 4:5', 'C7', 'C7', 2, '5:3 4:2 4:5'],
    'a whole tone up, two frets up' => ['5:3 4:2 4:5', 'C7', 'D7', 4, '5:5 4:4 4:7'],
    'the same notes at another hand' => ['5:3 4:2 4:5', 'C7', 'C7', 7, '6:8 5:7 5:10'],
    'to IV under the same hand' => ['6:3 5:2 5:5', 'G7', 'C7', 2, '5:3 4:2 4:5'],
]);

it('plays the degrees of the chord it comes to, and keeps what is strange to it at its distance', function (string $to, array $pitchClasses): void {
    // R 3 5 ♭7 and the passing ♯4 over G7.
    $laid = overChord('6:3 5:2 5:5 5:4 4:3', 'G7', $to, 0, 3);

    expect(array_map(static fn (array $step): int => ($step[0]->midi ?? 0) % 12, $laid))->toBe($pitchClasses);
})->with([
    ['G7', [7, 11, 2, 1, 5]],
    ['Gm7', [7, 10, 2, 1, 5]],
    ['Gmaj7', [7, 11, 2, 1, 6]],
    ['Gm7♭5', [7, 10, 1, 1, 5]],
    ['C7', [0, 4, 7, 6, 10]],
]);

it('plays an octave higher or lower than where it lies nearest, and tells what the neck has not', function (int $octaves, array $midi): void {
    $laid = overChord('3:0 2:1', 'C', 'C', $octaves, 1);

    expect(array_map(static fn (array $step): ?int => $step[0]?->midi, $laid))->toBe($midi);
})->with([[0, [55, 60]], [1, [67, 72]], [-1, [43, 48]], [-2, [null, null]]]);

it('lays notes that are struck together on strings of their own, within the reach of a hand', function (): void {
    foreach (overChord('3:2+2:3 3:4+2:5 4:5+2:6', 'D7', 'G7', 0, 7) as $step) {
        $frets = array_map(static fn (?RiffNote $note): int => $note->fret ?? 0, $step);
        expect(count(array_unique(array_column($step, 'string'))))->toBe(2)->and(max($frets) - min($frets))->toBeLessThanOrEqual(4);
    }
});

it('finds the cheapest of all ways to play the notes', function (string $typed, int $semitones, int $near): void {
    $neck = new Neck(Tuning::standard());
    $mover = new FigureMover($neck);
    $open = $neck->openMidi();
    $places = static fn (int $midi): array => array_values(array_filter(array_map(
        static fn (int $index): ?RiffNote => $midi >= $open[$index] && $midi - $open[$index] <= FigureMover::HIGHEST_FRET
            ? new RiffNote(6 - $index, $midi - $open[$index], $midi)
            : null,
        range(0, 5),
    )));
    $least = PHP_INT_MAX;
    foreach ([0, -12, 12, -24, 24] as $octave) {
        $walk = static function (array $left, array $last, int $cost) use (&$walk, &$least, $mover, $places, $near, $octave, $semitones, $typed): void {
            if ($left === []) {
                $least = min($least, $cost + 5_000_000 * intdiv(abs($octave), 12) * count(figureSteps($typed)));
            }
            foreach ($left === [] ? [] : $places($left[0][0]->midi + $semitones + $octave) as $place) {
                $walk(array_slice($left, 1), [$place], $cost + $mover->cost($last, [$place], $near));
            }
        };
        $walk(figureSteps($typed), [], 0);
    }
    $laid = $mover->transposed(figureSteps($typed), $semitones, 0, $near);
    $octaves = intdiv(abs(($laid[0][0]->midi ?? 0) - figureSteps($typed)[0][0]->midi - $semitones), 12);
    [$cost, $last] = [5_000_000 * $octaves * count($laid), []];
    foreach ($laid as $step) {
        [$cost, $last] = [$cost + $mover->cost($last, $step, $near), $step];
    }

    expect($cost)->toBe($least);
})->with([
    ['6:3 5:2 5:5 4:3', 0, 2], ['6:3 5:2 5:5 4:3', 5, 2], ['6:3 5:2 5:5 4:3', 7, 9], ['1:3 2:4 3:5 4:5', -2, 5], ['5:0 5:4 4:2 4:4 3:2', 3, 0],
]);
