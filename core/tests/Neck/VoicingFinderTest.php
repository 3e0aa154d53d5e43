<?php

declare(strict_types=1);

use Gravik\Harmony\ChordSymbol;
use Gravik\Neck\Company;
use Gravik\Neck\Finder\VoicingFinder;
use Gravik\Neck\FretRange;
use Gravik\Neck\Grip\CommonGrips;
use Gravik\Neck\Grip\Frets;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\HandProfile;
use Gravik\Neck\Neck;
use Gravik\Neck\NeckException;
use Gravik\Neck\Tuning;
use Gravik\Tests\Support\BareRules;

function finder(
    string $role = 'solo',
    string $tuning = 'standard',
    string $frets = '0-15',
    string $hand = 'medium',
    int $capo = 0,
): VoicingFinder {
    return new VoicingFinder(
        new Neck(Tuning::parse($tuning), $capo),
        FretRange::parse($frets),
        Company::parse($role),
        HandProfile::parse($hand),
    );
}

it('finds as many grips as there are on the whole neck', function (string $chord, string $role, int $count): void {
    expect(finder($role)->all(ChordSymbol::parse($chord)))->toHaveCount($count);
})->with([
    ['C', 'solo', 150], ['C7', 'solo', 121], ['C7', 'with-bass', 1009], ['C9', 'with-bass', 1806], ['C7', 'shell', 304], ['C/D', 'solo', 270],
]);

/** chord => semitones above the root: required besides it, optional besides it, one of these, shell */
const CHORD_TONES = [
    'C' => [[4], [7], [], [4]], 'Dm' => [[3], [7], [], [3]], 'Bdim' => [[3, 6], [], [], [3]], 'Gaug' => [[4, 8], [], [], [4]], 'Asus4' => [[5], [7], [], [5]],
    'E♭6' => [[4, 9], [7], [], [4, 9]], 'Dm6' => [[3, 9], [7], [], [3, 9]], 'F7' => [[4, 10], [7], [], [4, 10]], 'Gm7' => [[3, 10], [7], [], [3, 10]], 'B♭maj7' => [[4, 11], [7], [], [4, 11]],
    'F♯m7♭5' => [[3, 6, 10], [], [], [3, 10]], 'C♯dim7' => [[3, 6, 9], [], [], [3, 9]], 'E9' => [[2, 4, 10], [7], [], [4, 10]], 'A13' => [
        [4, 9, 10],
        [2, 7],
        [],
        [4, 10],
    ],
    'G7alt' => [
        [4, 10],
        [],
        [1, 3, 6, 8],
        [4, 10],
    ], 'D7♯9' => [[3, 4, 10], [7], [], [4, 10]], 'Cadd9' => [[2, 4], [7], [], [4]], 'Em11' => [[3, 5, 10], [2, 7], [], [3, 10]],
    'A♭5' => [[7], [], [], [7]], 'G9sus4' => [[2, 5, 10], [7], [], [5, 10]],
];

/** tuning => frets small enough for a check of everything */
const NECKS = [
    'standard' => '0-15',
    'drop-d' => '0-12',
    'open-g' => '0-12',
    'open-d' => '3-11',
    'dadgad' => '0-9',
    'half-down' => '4-12',
    'baritone-b' => '0-9',
    'tenor' => '0-15',
    'seven-string' => '0-7',
    'eight-string' => '0-7',
];

/** @return array<string, array{string, string, string, string}> every chord in some role on some neck, every role and neck several times */
function bareCases(): array
{
    $cases = [];
    $roles = ['solo', 'with-bass', 'shell'];
    $necks = array_keys(NECKS);
    foreach (array_keys(CHORD_TONES) as $number => $chord) {
        foreach ([0, 1, 2] as $turn) {
            $tuning = $necks[($number * 3 + $turn * 7) % count($necks)];
            $role = $roles[($number + $turn) % 3];
            $cases["{$chord}, {$role}, {$tuning}"] = [$chord, $role, $tuning, NECKS[$tuning]];
        }
    }

    return $cases;
}

it('finds exactly the grips that a check of every combination of frets finds', function (string $chord, string $role, string $tuning, string $frets): void {
    [$required, $optional, $oneOf, $shell] = CHORD_TONES[$chord];
    $power = $chord === 'A♭5';
    $rules = match ($role) {
        'solo' => [[0, ...$required], $optional, $oneOf, true],
        'with-bass' => [$power ? [0, ...$required] : $required, $power ? [] : [0, ...$optional], $oneOf, false],
        default => [count($shell) < 2 ? [0, ...$shell] : $shell, count($shell) < 2 ? [] : [0], [], false],
    };
    $symbol = ChordSymbol::parse($chord);
    $range = FretRange::parse($frets);
    $brute = BareRules::grips(
        Tuning::parse($tuning)->openMidi(0),
        [$range->lowest, $range->highest],
        $symbol->rootPitchClass(),
        $rules[0],
        $rules[1],
        $rules[2],
        $rules[3],
        $power || $role === 'shell' ? 2 : 3,
    );
    $found = array_map(static fn (Voicing $voicing): string => $voicing->text(), finder($role, $tuning, $frets)->all($symbol));
    sort($found);

    expect($found)->toBe($brute);
})->with(bareCases());

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
    $reach = (new HandProfile())->reachMm();
    $ranks = array_map(
        static fn (Voicing $voicing): float => $voicing->rank,
        array_filter(finder($role)->all($symbol), static fn (Voicing $voicing): bool => $voicing->spanMm <= $reach),
    );
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

it('proposes a bass player only to somebody who has none', function (Company $company, bool $proposed): void {
    $finder = new VoicingFinder(new Neck(Tuning::standard()), new FretRange(14, 15), $company);
    try {
        $finder->find(ChordSymbol::parse('C13♯11'), 5);
        $said = '';
    } catch (NeckException $problem) {
        $said = $problem->getMessage();
    }

    expect($said)->toContain('allow more strings or frets')->and(str_contains($said, 'choose with a bass'))->toBe($proposed);
})->with([
    'alone' => [Company::Alone, true],
    'with a bass player already' => [Company::WithBass, false],
]);

it('begins with the grips everybody knows where a chord stands alone', function (string $symbol, string $grip): void {
    $found = (new VoicingFinder(new Neck(Tuning::standard())))->findFamiliar(ChordSymbol::parse($symbol), 12)->best;

    expect(array_slice(array_map(static fn (Voicing $voicing): string => Frets::text($voicing->frets), $found), 0, 4))->toContain($grip);
})->with([
    ['B♭', 'x 1 3 3 3 1'],
    ['G7', '3 2 0 0 0 1'],
    ['G', '3 2 0 0 0 3'],
    ['G13', '3 x 3 4 5 x'],
    ['F', '1 3 3 2 1 1'],
    ['C', 'x 3 2 0 1 0'],
    ['Em', '0 2 2 0 0 0'],
    ['B7', 'x 2 1 2 0 2'],
]);

it('writes grips everybody knows so that each is a grip of its chord', function (): void {
    foreach (require __DIR__.'/../../src/Neck/Grip/Data/common-grips.php' as $ending => $shapes) {
        $chord = ChordSymbol::parse('G'.$ending);
        $common = (new CommonGrips(new Neck(Tuning::standard())))->of($chord);
        $bare = array_map(
            static fn (Voicing $voicing): string => Frets::text($voicing->frets),
            (new VoicingFinder(new Neck(Tuning::standard()), new FretRange(0, 15)))->all($chord),
        );
        expect(array_diff(array_keys($common), $bare))->toBe([]);
    }
});

it('lays no finger over a string that is to stay silent', function (string $symbol): void {
    foreach ([Company::Alone, Company::WithBass, Company::Shell] as $company) {
        foreach ((new VoicingFinder(new Neck(Tuning::standard()), new FretRange(), $company))->find(
            ChordSymbol::parse($symbol),
            24,
        )->best as $grip) {
            foreach ($grip->barres as $barre) {
                $under = array_slice($grip->frets, 6 - $barre->from, $barre->from - $barre->to + 1);
                expect($under)->not->toContain(null);
            }
        }
    }
})->with(['C', 'Gm7', 'C9', 'F♯m7♭5', 'Dm6', 'G7']);

it('knows grips everybody knows on strings tuned as usual alone, and of chords on their root', function (string $tuning, string $symbol, bool $any): void {
    expect((new CommonGrips(new Neck(Tuning::parse($tuning))))->of(ChordSymbol::parse($symbol)) !== [])->toBe($any);
})->with([['standard', 'G7', true], ['standard', 'G7/B', false], ['open-g', 'G7', false], ['open-d', 'D', false]]);
