<?php

declare(strict_types=1);

use Gravik\Harmony\ChordSymbol;
use Gravik\Neck\Company;
use Gravik\Neck\Finder\VoicingFinder;
use Gravik\Neck\FretRange;
use Gravik\Neck\Grip\GripKind;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\HandProfile;
use Gravik\Neck\Neck;
use Gravik\Neck\NeckException;
use Gravik\Neck\Tuning;

/** @return list<Voicing> */
function gripsOfKind(string $symbol, GripKind $kind, string $tuning = 'standard', string $frets = '0-12'): array
{
    return (new VoicingFinder(
        new Neck(Tuning::parse($tuning)),
        FretRange::parse($frets),
        Company::WithBass,
        new HandProfile('large'),
        kind: $kind,
    ))->find(
        ChordSymbol::parse($symbol),
        2000,
    )->best;
}

/**
 * Every way to sound exactly these pitch classes on neighbouring strings within a four-fret box and 115 mm, by trying all frets.
 *
 * @param list<int> $classes one a string, in any order
 *
 * @return list<string>
 */
function triadsByTrying(array $classes, int $lowest): array
{
    $neck = new Neck(Tuning::standard());
    $open = $neck->openMidi();
    $found = [];
    for ($first = 0; $first <= 3; $first++) {
        for ($code = 0; $code < 13 ** 3; $code++) {
            $frets = [intdiv($code, 169), intdiv($code, 13) % 13, $code % 13];
            $notes = array_map(static fn (int $fret, int $string): int => $open[$first + $string] + $fret, $frets, [0, 1, 2]);
            $sounding = array_map(static fn (int $note): int => $note % 12, $notes);
            $fretted = array_filter($frets);
            sort($sounding);
            if (
                $sounding === $classes
                && min($notes) % 12 === $lowest
                && ($fretted === [] || (max($fretted) - min($fretted) <= 3 && $neck->spanMm(min($fretted), max($fretted)) <= 115))
            ) {
                $found[] = implode(' ', [...array_fill(0, $first, 'x'), ...$frets, ...array_fill(0, 3 - $first, 'x')]);
            }
        }
    }

    return $found;
}

it('finds every triad of each inversion on neighbouring strings', function (string $symbol, array $classes, GripKind $kind, int $lowest): void {
    $found = array_map(static fn (Voicing $grip): string => $grip->text(), gripsOfKind($symbol, $kind));
    $expected = triadsByTrying($classes, $lowest);
    sort($found);
    sort($expected);

    expect($found)->toBe($expected)->and($found)->not->toBe([]);
})->with([
    ['C', [0, 4, 7], GripKind::TriadRoot, 0],
    ['C', [0, 4, 7], GripKind::TriadFirst, 4],
    ['Gm', [2, 7, 10], GripKind::TriadSecond, 2],
    ['F7', [0, 5, 9], GripKind::TriadFirst, 9],
]);

it('keeps to what a kind asks', function (string $symbol, GripKind $kind, array $degrees, int $strings): void {
    foreach (gripsOfKind($symbol, $kind) as $grip) {
        $sounding = array_values(array_filter($grip->degrees(), static fn (?string $degree): bool => $degree !== null));
        expect(array_diff($sounding, $degrees))->toBe([])->and(count($sounding))->toBeLessThanOrEqual($strings);
    }
})->with([
    'power' => ['C7', GripKind::Power, ['R', '5'], 3],
    'shell' => ['C9', GripKind::Shell, ['R', '3', '♭7'], 3],
    'guide tones' => ['Cm7', GripKind::GuideTones, ['♭3', '♭7'], 2],
    'guide tones and colour' => ['C7', GripKind::GuideTonesAndColour, ['3', '♭7', '9', '13'], 3],
]);

it('puts the colour on top of the guide tones', function (): void {
    foreach (gripsOfKind('C7♭9', GripKind::GuideTonesAndColour) as $grip) {
        expect($grip->chord->degreeOf($grip->topMidi() % 12)->label())->toBeIn(['♭9', '13']);
    }
});

it('offers a power chord with its root and with its fifth lowest', function (): void {
    $grips = array_map(static fn (Voicing $grip): string => $grip->text(), gripsOfKind('A5', GripKind::Power));
    expect($grips)->toContain('5 7 7 x x x', 'x 0 2 2 x x', 'x 7 7 x x x');
});

it('leads the guide tones of two dominants a fourth apart by a semitone each, with their parts swapped', function (): void {
    $pairs = static fn (string $symbol): array => array_filter(
        gripsOfKind($symbol, GripKind::GuideTones),
        static fn (Voicing $grip): bool => $grip->frets[2] !== null && $grip->frets[3] !== null,
    );
    $neighbours = 0;
    foreach ($pairs('G7') as $from) {
        foreach ($pairs('C7') as $to) {
            if (abs($to->midi[2] - $from->midi[2]) === 1 && abs($to->midi[3] - $from->midi[3]) === 1) {
                $neighbours++;
                expect([$from->degrees()[2], $from->degrees()[3]])->toBe([$to->degrees()[3], $to->degrees()[2]]);
            }
        }
    }
    expect($neighbours)->toBeGreaterThan(0);
});

it('holds a whole chord with one finger in an open tuning', function (): void {
    $grips = array_map(static fn (Voicing $grip): string => $grip->text(), gripsOfKind('A', GripKind::OpenBarre, 'open-g'));
    expect($grips)->toContain('2 2 2 2 2 2', 'x 2 2 2 2 2');
});

it('finds every double stop of a chord, and nothing else', function (string $symbol, array $classes): void {
    $open = (new Neck(Tuning::standard()))->openMidi();
    $expected = [];
    foreach ([1 => [3, 4, 5], 2 => [8, 9]] as $apart => $intervals) {
        for ($low = 0; $low + $apart < 6; $low++) {
            for ($a = 0; $a <= 12; $a++) {
                for ($b = 0; $b <= 12; $b++) {
                    $notes = [$open[$low] + $a, $open[$low + $apart] + $b];
                    $near = $a === 0 || $b === 0 || abs($a - $b) <= 3;
                    if ($near && in_array(
                        $notes[1] - $notes[0],
                        $intervals,
                        true,
                    ) && in_array($notes[0] % 12, $classes, true) && in_array($notes[1] % 12, $classes, true)) {
                        $frets = array_fill(0, 6, 'x');
                        [$frets[$low], $frets[$low + $apart]] = [$a, $b];
                        $expected[] = implode(' ', $frets);
                    }
                }
            }
        }
    }
    $found = array_map(static fn (Voicing $grip): string => $grip->text(), gripsOfKind($symbol, GripKind::DoubleStop));
    sort($expected);
    sort($found);

    expect($found)->toBe($expected);
})->with([['C', [0, 4, 7]], ['Gm7', [7, 10, 2, 5]]]);

it('keeps one open string at the edge of a grip whose other strings are fretted', function (): void {
    $grips = gripsOfKind('E7', GripKind::Pedal);
    foreach ($grips as $grip) {
        $sounding = array_values(array_filter($grip->frets, static fn (?int $fret): bool => $fret !== null));
        expect(count(array_keys($sounding, 0, true)))->toBe(1)->and($sounding[0] === 0 || end($sounding) === 0)->toBeTrue();
    }
    expect($grips)->not->toBe([]);
});

it('says so where a chord has no such grip', function (): void {
    gripsOfKind('C', GripKind::OpenBarre);
})->throws(NeckException::class, 'one finger or all open');
