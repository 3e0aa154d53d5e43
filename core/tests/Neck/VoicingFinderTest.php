<?php

declare(strict_types=1);

use Gravik\Harmony\ChordSymbol;
use Gravik\Neck\Company;
use Gravik\Neck\FretRange;
use Gravik\Neck\HandProfile;
use Gravik\Neck\Neck;
use Gravik\Neck\NeckException;
use Gravik\Neck\Tuning;
use Gravik\Neck\Voicing;
use Gravik\Neck\VoicingFinder;
use Gravik\Tests\Support\BareRules;

function finder(string $role = 'solo', string $tuning = 'standard', string $frets = '0-15', string $hand = 'medium', int $capo = 0): VoicingFinder
{
    return new VoicingFinder(new Neck(Tuning::parse($tuning), $capo), FretRange::parse($frets), Company::parse($role), HandProfile::parse($hand));
}

it('finds as many grips as there are on the whole neck', function (string $chord, string $role, int $count): void {
    expect(finder($role)->all(ChordSymbol::parse($chord)))->toHaveCount($count);
})->with([
    ['C', 'solo', 150], ['C7', 'solo', 121], ['C7', 'with-bass', 1009], ['C9', 'with-bass', 1806], ['C7', 'shell', 304], ['C/D', 'solo', 270],
]);

it('finds exactly the grips that a check of every combination of frets finds', function (string $chord, string $role, string $tuning, string $frets, array $rules): void {
    [$required, $optional, $oneOf, $rootLowest, $fewest] = $rules;
    $symbol = ChordSymbol::parse($chord);
    $range = FretRange::parse($frets);
    $brute = BareRules::grips(Tuning::parse($tuning)->openMidi(0), [$range->lowest, $range->highest], $symbol->rootPitchClass(), $required, $optional, $oneOf, $rootLowest, $fewest);
    $found = array_map(static fn (Voicing $voicing): string => $voicing->text(), finder($role, $tuning, $frets)->all($symbol));
    sort($found);

    expect($found)->toBe($brute)->and($brute)->not->toBeEmpty();
})->with([
    // required, optional, one of, root lowest, fewest strings; semitones above the root
    'open C' => ['C', 'solo', 'standard', '0-4', [[0, 4], [7], [], true, 3]],
    'Dm6 alone' => ['Dm6', 'solo', 'standard', '0-4', [[0, 3, 9], [7], [], true, 3]],
    'E9 beside a bass' => ['E9', 'with-bass', 'standard', '5-9', [[2, 4, 10], [0, 7], [], false, 3]],
    'G altered beside a bass' => ['G7alt', 'with-bass', 'standard', '7-11', [[4, 10], [0], [1, 3, 6, 8], false, 3]],
    'A♭6 shell' => ['A♭6', 'shell', 'standard', '3-7', [[4, 9], [0], [], false, 2]],
    'a power chord' => ['F5', 'with-bass', 'standard', '0-4', [[0, 7], [], [], false, 2]],
    'seven strings' => ['Gm7', 'with-bass', 'seven-string', '1-4', [[3, 10], [0, 7], [], false, 3]],
    'open G' => ['D7', 'solo', 'open-g', '0-4', [[0, 4, 10], [7], [], true, 3]],
    'a tenor guitar, the whole neck' => ['Fmaj7', 'with-bass', 'tenor', '0-15', [[4, 11], [0, 7], [], false, 3]],
]);

it('gives every grip a fingering that a hand can take', function (string $chord, string $role): void {
    foreach (finder($role)->all(ChordSymbol::parse($chord)) as $voicing) {
        $used = array_values(array_unique(array_filter($voicing->fingers)));
        expect(count($used))->toBeLessThanOrEqual(4);
        $fretOf = [];
        foreach ($voicing->fingers as $string => $finger) {
            $fret = $voicing->frets[$string];
            expect($finger === null)->toBe($fret === null)->and($finger === 0)->toBe($fret === 0);
            if ($finger !== null && $finger > 0) {
                expect($fretOf[$finger] ?? $fret)->toBe($fret);
                $fretOf[$finger] = $fret;
            }
        }
        ksort($fretOf);
        $rising = $fretOf;
        sort($rising);
        expect(array_values($fretOf))->toBe($rising);
        foreach ($voicing->barres as $barre) {
            foreach (range(6 - $barre->from, 6 - $barre->to) as $string) {
                expect($voicing->frets[$string] ?? 99)->toBeGreaterThanOrEqual($barre->fret);
            }
        }
    }
})->with([['F', 'solo'], ['B♭13', 'with-bass'], ['C7', 'shell']]);

it('keeps the best grips of all when it looks at the promising ones only', function (string $chord, string $role, int $limit): void {
    $symbol = ChordSymbol::parse($chord);
    $neck = new Neck(Tuning::standard());
    $reach = HandProfile::Medium->reachMm();
    $ranks = array_map(static fn (Voicing $voicing): float => $voicing->rank, array_filter(finder($role)->all($symbol), static fn (Voicing $voicing): bool => $voicing->spanMm <= $reach));
    sort($ranks);
    $best = array_map(static fn (Voicing $voicing): float => $voicing->rank, finder($role)->find($symbol, $limit)->best);

    expect(array_map(static fn (float $rank): float => round($rank, 9), $best))
        ->toBe(array_map(static fn (float $rank): float => round($rank, 9), array_slice($ranks, 0, $limit)))
        ->and($neck->strings)->toHaveCount(6);
})->with([['C', 'solo', 12], ['C9', 'with-bass', 60], ['E♭6', 'shell', 24], ['G7', 'solo', 1]]);

it('puts the grip first that teachers show first', function (string $chord, string $frets): void {
    expect(finder()->find(ChordSymbol::parse($chord), 1)->best[0]->text())->toBe($frets);
})->with([['C', 'x 3 2 0 1 0'], ['Am', 'x 0 2 2 1 0'], ['E7', '0 2 0 1 0 0'], ['Dm', 'x x 0 2 3 1'], ['A7', 'x 0 2 0 2 0']]);

it('keeps to the reach of the hand and says when that leaves nothing', function (): void {
    $wide = finder('solo', 'standard', '1-4', 'small')->find(ChordSymbol::parse('F'), 60);
    foreach ($wide->best as $voicing) {
        expect($voicing->spanMm)->toBeLessThanOrEqual(85.0);
    }
    finder('solo', 'standard', '3-3')->find(ChordSymbol::parse('C13♭9'), 3);
})->throws(NeckException::class, 'No grip for C13♭9 fits. No four-fret box');

it('counts frets from the capo and sounds what the symbol names', function (): void {
    foreach (finder('solo', 'standard', '0-4', 'medium', 3)->find(ChordSymbol::parse('E♭'), 5)->best as $voicing) {
        expect($voicing->midi[5] === null || $voicing->midi[5] === 67 + (int) $voicing->frets[5])->toBeTrue();
        expect(array_unique(array_filter($voicing->degrees())))->each->toBeIn(['R', '3', '5']);
    }
    expect(finder('solo', 'standard', '0-4', 'medium', 3)->find(ChordSymbol::parse('E♭'), 1)->best[0]->text())->toBe('x 3 2 0 1 0');
});

it('names degrees, notes and the bass of a grip', function (): void {
    $voicing = finder('with-bass')->voicing(ChordSymbol::parse('D♭9'), [null, 4, 3, 4, 4, null]);

    expect($voicing?->degrees())->toBe([null, 'R', '3', '♭7', '9', null])
        ->and($voicing?->notes())->toBe([null, 'D♭3', 'F3', 'C♭4', 'E♭4', null])
        ->and($voicing?->slash())->toBeNull()
        ->and(finder()->voicing(ChordSymbol::parse('C'), [0, 3, 2, 0, 1, 0])?->slash())->toBe('3')
        ->and(finder()->voicing(ChordSymbol::parse('C'), [1, 3, 2, 4, 1, 3]))->toBeNull();
});

it('measures a stretch where it lies on the neck, behind the wires', function (): void {
    $neck = new Neck(Tuning::standard());
    $mm = static fn (float $fret): float => 648 * (1 - 2 ** (-$fret / 12));
    $tip = static fn (int $fret): float => $mm($fret) - 0.3 * ($mm($fret) - $mm($fret - 1));

    expect($neck->spanMm(5, 8))->toEqualWithDelta($tip(8) - $tip(5), 1e-9)
        ->and($neck->spanMm(12, 16))->toBeLessThan($neck->spanMm(1, 4))
        ->and((new Neck(Tuning::standard(), 2))->spanMm(3, 6))->toEqualWithDelta($neck->spanMm(5, 8), 1e-9);
});
