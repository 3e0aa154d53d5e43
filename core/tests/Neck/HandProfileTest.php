<?php

declare(strict_types=1);

use Gravik\Harmony\ChordSymbol;
use Gravik\Neck\Company;
use Gravik\Neck\Finder\VoicingFinder;
use Gravik\Neck\FretRange;
use Gravik\Neck\Grip\DampedStrings;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\HandProfile;
use Gravik\Neck\Line\EasierGrip;
use Gravik\Neck\Line\PathFinder;
use Gravik\Neck\Neck;
use Gravik\Neck\NeckException;
use Gravik\Neck\Tuning;

function finderFor(string $hand, Company $company = Company::Alone): VoicingFinder
{
    return new VoicingFinder(new Neck(Tuning::standard()), new FretRange(0, 9), $company, HandProfile::parse($hand));
}

/**
 * Whether fingers can be laid on a grip at all, by trying every finger on every string.
 *
 * @param list<int|null> $frets
 */
function someFingeringExists(array $frets, HandProfile $hand): bool
{
    $try = static function (int $string, array $laid) use (&$try, $frets, $hand): bool {
        if ($string === count($frets)) {
            return true;
        }
        if ($frets[$string] === null || $frets[$string] === 0) {
            return $try($string + 1, $laid);
        }
        foreach ([...$hand->fingers(), ...($hand->thumb && $string < 2 ? [HandProfile::THUMB] : [])] as $finger) {
            $fits = true;
            foreach ($laid as [$otherFinger, $otherString, $otherFret]) {
                $between = array_slice($frets, $otherString, $string - $otherString);
                $fits = $fits && match (true) {
                    $finger === HandProfile::THUMB => $otherFinger === HandProfile::THUMB
                        && $otherFret === $frets[$string]
                        && $string === 1,
                    $otherFinger === HandProfile::THUMB => $otherFret <= $frets[$string] + 1,
                    $finger === $otherFinger => $hand->barre && $otherFret === $frets[$string]
                        && array_filter($between, static fn (?int $fret): bool => $fret === null || $fret < $otherFret) === [],
                    default => ($finger <=> $otherFinger) * ($frets[$string] <=> $otherFret) >= 0,
                };
            }
            if ($fits && $try($string + 1, [...$laid, [$finger, $string, $frets[$string]]])) {
                return true;
            }
        }

        return false;
    };

    return $try(0, []);
}

it('gives every grip that some fingering of this hand holds, and no other', function (string $hand, string $symbol): void {
    $profile = HandProfile::parse($hand);
    $neck = new Neck(Tuning::standard());
    // The bare grips of a chord, found without asking the hand.
    $bare = array_map(static fn (Voicing $grip): array => $grip->frets, finderFor('large')->all(ChordSymbol::parse($symbol)));
    $expected = count(array_filter($bare, static function (array $frets) use ($profile, $neck): bool {
        $fretted = array_filter($frets, static fn (?int $fret): bool => $fret !== null && $fret > 0);

        return ($fretted === [] || $neck->spanMm(min($fretted), max($fretted)) <= $profile->reachMm())
            && someFingeringExists($frets, $profile);
    }));

    expect(finderFor($hand)->find(ChordSymbol::parse($symbol), 1)->count)->toBe($expected);
})->with(['large', 'medium,no-barre', 'large,avoid-4', 'large,no-barre,avoid-4'])->with(['C7', 'Gm', 'D6']);

it('lets a thumb fret the low strings where the hand has one, and says so', function (): void {
    $grip = [2, null, 0, 2, 3, 2];
    $with = finderFor('medium,thumb')->voicing(ChordSymbol::parse('D/F♯'), $grip);

    expect($with?->fingers[0])->toBe(HandProfile::THUMB)
        ->and(finderFor('medium')->voicing(ChordSymbol::parse('D/F♯'), $grip)?->fingers[0])->not->toBe(HandProfile::THUMB);
});

it('holds more with the thumb than without', function (): void {
    $without = finderFor('large')->find(ChordSymbol::parse('F7'), 1)->count;
    expect(finderFor('large,thumb')->find(ChordSymbol::parse('F7'), 1)->count)->toBeGreaterThan($without);
});

it('says why a hand cannot take a grip, and offers the nearest it can', function (string $hand, string $symbol, array $frets, string $why): void {
    $grip = finderFor('large')->voicing(ChordSymbol::parse($symbol), $frets);
    $easier = new EasierGrip(finderFor($hand), HandProfile::parse($hand));
    $instead = $easier->instead($grip ?? throw new LogicException('no grip'));

    expect($easier->whyNot($grip))->toContain($why)
        ->and($easier->whyNot($instead))->toBeNull()
        ->and(array_unique(array_filter($instead->degrees())))->toContain('R', $symbol === 'Fm' ? '♭3' : '3')
        ->and(array_filter(
            $instead->fingers,
            static fn (?int $finger): bool => in_array($finger, HandProfile::parse($hand)->avoid, true),
        ))->toBe([]);
})->with([
    'no barre' => ['medium,no-barre', 'F', [1, 3, 3, 2, 1, 1], 'barre'],
    'no little finger' => ['large,avoid-4,avoid-3', 'F', [1, 3, 3, 2, 1, 1], 'fingers'],
    'too wide' => ['small', 'Fm', [1, 3, 3, 1, 1, 4], 'mm'],
]);

it('leaves a grip alone that the hand can take', function (): void {
    $grip = finderFor('medium')->voicing(ChordSymbol::parse('C'), [null, 3, 2, 0, 1, 0]);
    expect((new EasierGrip(
        finderFor('small'),
        HandProfile::parse('small'),
    ))->whyNot($grip ?? throw new LogicException('no grip')))->toBeNull();
});

it('names what damps each silent string', function (string $symbol, array $frets, array $expected): void {
    $grip = finderFor('large', Company::WithBass)->voicing(ChordSymbol::parse($symbol), $frets);
    expect($grip === null ? null : DampedStrings::of($grip))->toBe($expected);
})->with([
    'open C' => ['C', [null, 3, 2, 0, 1, 0], [6 => 'underside of finger 3']],
    'open D' => ['D', [null, null, 0, 2, 3, 2], [6 => 'thumb', 5 => 'thumb']],
    'an inner string' => ['G7', [3, null, 3, 4, 3, null], [5 => 'tip of finger 2', 1 => 'tip of finger 3']],
]);

it('refuses hands that do not exist', function (string $typed): void {
    expect(fn () => HandProfile::parse($typed))->toThrow(NeckException::class);
})->with(['giant', 'medium,avoid-5', 'medium,claw', 'small,avoid-1,avoid-2,avoid-3,avoid-4']);

it('writes a hand as it reads it', function (string $typed): void {
    expect(HandProfile::parse($typed)->text())->toBe($typed);
})->with(['medium', 'small,thumb', 'large,no-barre', 'small,thumb,no-barre,avoid-3,avoid-4']);

it('offers of easier grips the one that changes least and lies near the old one', function (): void {
    $finder = finderFor('medium,no-barre');
    $small = new EasierGrip($finder, HandProfile::parse('medium,no-barre'));
    $elsewhere = 0;
    foreach ([['F', 1], ['G', 3], ['A', 5], ['B', 7], ['C', 8], ['D', 10], ['E♭', 11]] as [$symbol, $fret]) {
        $barre = finderFor('medium')->voicing(ChordSymbol::parse($symbol), [$fret, $fret + 2, $fret + 2, $fret + 1, $fret, $fret])
            ?? throw new LogicException('no grip');
        $best = static function (float $perFret) use ($finder, $barre): string {
            $costs = [];
            foreach ($finder->find($barre->chord, PathFinder::CANDIDATES)->best as $grip) {
                $costs[$grip->text()] = $grip->rank
                    + 0.2 * count(array_diff_assoc(
                        array_map(static fn (?int $each): int => $each ?? -1, $grip->frets),
                        array_map(static fn (?int $each): int => $each ?? -1, $barre->frets),
                    ))
                    + $perFret * abs($grip->position - $barre->position);
            }

            return (string) array_search(min($costs), $costs, true);
        };
        expect($small->instead($barre)->text())->toBe($best(0.25));
        $elsewhere += $best(0.0) === $best(0.25) ? 0 : 1;
    }
    expect($elsewhere)->toBeGreaterThan(0);
});
