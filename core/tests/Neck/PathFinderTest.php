<?php

declare(strict_types=1);

use Gravik\Harmony\ChordSymbol;
use Gravik\Neck\Company;
use Gravik\Neck\Finder\VoicingFinder;
use Gravik\Neck\FretRange;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\Line\BassMotion;
use Gravik\Neck\Line\PathFinder;
use Gravik\Neck\Line\PathWeights;
use Gravik\Neck\Line\PathWishes;
use Gravik\Neck\Neck;
use Gravik\Neck\NeckException;
use Gravik\Neck\Tuning;

/** @return list<non-empty-list<Voicing>> */
function candidatesFor(string $line, int $each, Company $company = Company::WithBass): array
{
    $finder = new VoicingFinder(new Neck(Tuning::standard()), new FretRange(), $company);

    return array_map(static fn (string $symbol): array => $finder->find(ChordSymbol::parse($symbol), $each)->best, explode(' ', $line));
}

/**
 * Tries every line there is.
 *
 * @param list<non-empty-list<Voicing>> $candidates
 * @param callable(list<Voicing>): bool $allowed
 */
function leastOfAllLines(array $candidates, callable $allowed, PathWeights $weights = new PathWeights(), bool $loop = false): float
{
    $finder = new PathFinder(new Neck(Tuning::standard()), new PathWishes(weights: $weights, loop: $loop));
    $least = INF;
    $walk = static function (array $chosen) use (&$walk, &$least, $candidates, $finder, $allowed): void {
        if (count($chosen) === count($candidates)) {
            $least = $allowed($chosen) ? min($least, $finder->costOf(...$chosen)) : $least;

            return;
        }
        foreach ($candidates[count($chosen)] as $voicing) {
            $walk([...$chosen, $voicing]);
        }
    };
    $walk([]);

    return $least;
}

it('finds the line that costs least of all possible lines', function (string $line, int $each, PathWeights $weights): void {
    $finder = new PathFinder(new Neck(Tuning::standard()), new PathWishes(weights: $weights));
    $candidates = candidatesFor($line, $each);
    $least = leastOfAllLines($candidates, static fn (): bool => true, $weights);
    $path = $finder->cheapest($candidates);

    expect($path->cost)->toEqualWithDelta($least, 1e-9)
        ->and($finder->costOf(...$path->voicings))->toEqualWithDelta($least, 1e-9);
})->with([
    'a minor turn' => ['Dm6 B♭7 Gm7 A7', 8, new PathWeights()],
    'a long step' => ['C E9 A♭6', 15, new PathWeights()],
    'travel counts for everything' => ['G7 C9 D13 G7', 7, new PathWeights(20, 0, 0, 0.1)],
    'only the top voice counts' => ['Cmaj7 Am7 Dm7 G7', 7, new PathWeights(0, 0, 5, 0)],
    'one chord' => ['F♯m7♭5', 20, new PathWeights()],
]);

it('beats or equals the greedy choice, and is better somewhere', function (): void {
    $finder = new PathFinder(new Neck(Tuning::standard()));
    $better = 0;
    foreach (['Dm6 B♭7 Gm7 A7', 'E♭6 G♭9 Fm7 B♭9', 'C E7 A7 D9', 'F♯m7 B9 E6 A9'] as $line) {
        $candidates = candidatesFor($line, 30);
        $greedy = [];
        foreach ($candidates as $layer) {
            usort(
                $layer,
                static fn (Voicing $a, Voicing $b): int => $finder->costOf(...$greedy, ...[$a]) <=> $finder->costOf(...$greedy, ...[$b]),
            );
            $greedy[] = $layer[0];
        }
        $saved = $finder->costOf(...$greedy) - $finder->cheapest($candidates)->cost;
        expect($saved)->toBeGreaterThanOrEqual(-1e-9);
        $better += $saved > 0.01 ? 1 : 0;
    }
    expect($better)->toBeGreaterThan(0);
});

it('leaves a pinned grip alone and leads the line to it', function (): void {
    $candidates = candidatesFor('Dm6 B♭7 Gm7', 30);
    $pinned = $candidates[1][29];
    $path = (new PathFinder(new Neck(Tuning::standard())))->cheapest([$candidates[0], [$pinned], $candidates[2]]);

    expect($path->voicings[1])->toBe($pinned);
});

it('says how the hand moves, what is held and where the top voice goes', function (): void {
    $finder = new VoicingFinder(new Neck(Tuning::standard()), new FretRange(), Company::WithBass);
    $line = [
        $finder->voicing(ChordSymbol::parse('A♭6'), [null, null, 6, 8, 6, 8]),
        $finder->voicing(ChordSymbol::parse('B♭m7'), [null, null, 6, 6, 6, 6]),
        $finder->voicing(ChordSymbol::parse('Bdim7'), [null, null, 6, 7, 6, 7]),
    ];
    $path = (new PathFinder(new Neck(Tuning::standard())))->cheapest(array_map(
        static fn (?Voicing $voicing): array => [$voicing ?? throw new LogicException('a grip that can be held')],
        $line,
    ));

    expect($path->moves)->toBe([['frets' => 0, 'held' => 2, 'top' => -2], ['frets' => 0, 'held' => 2, 'top' => 1]]);
});

it('keeps one note on top where that can be done', function (): void {
    $path = (new PathFinder(new Neck(Tuning::standard())))->cheapestWithCommonTop(candidatesFor('C13 B13♭9 B♭13 A7alt', 60));
    $tops = array_unique(array_map(static fn (Voicing $voicing): int => $voicing->topMidi(), $path->voicings));

    expect($tops)->toHaveCount(1);
});

it('keeps a note on top at the least cost that this leaves', function (string $line, int $each): void {
    $candidates = candidatesFor($line, $each);
    $least = leastOfAllLines(
        $candidates,
        static fn (array $chosen): bool => count(array_unique(array_map(
            static fn (Voicing $voicing): int => $voicing->topMidi(),
            $chosen,
        ))) === 1,
    );

    expect(is_finite($least))->toBeTrue()
        ->and((new PathFinder(new Neck(Tuning::standard()), new PathWishes(keepTop: true)))->asWished($candidates)->cost)
        ->toEqualWithDelta($least, 1e-9);
})->with([['C9 F6 C9', 20], ['Am7 D9 G6', 20], ['Dm6 Gm7 B♭7', 24], ['C Am', 30]]);

it('calls a whole tone a step of the bass, and a tone and a half none', function (): void {
    $finder = new VoicingFinder(new Neck(Tuning::standard()), new FretRange(), Company::WithBass);
    $grip = static fn (string $chord, array $frets): array => array_filter([$finder->voicing(ChordSymbol::parse($chord), $frets)]);
    $path = new PathFinder(new Neck(Tuning::standard()), new PathWishes(bass: BassMotion::Stepwise));
    $c = $grip('C', [null, 3, 2, 0, 1, 0]);

    expect($path->asWished([$c, $grip('Dm', [null, null, 0, 2, 3, 1])])->voicings)->toHaveCount(2)
        ->and(static fn () => $path->asWished([$c, $grip('E♭', [null, null, 1, 3, 4, 3])]))->toThrow(NeckException::class, 'by steps');
});

it('lets the bass go by steps at the least cost that this leaves', function (): void {
    $candidates = candidatesFor('C G Am F', 12);
    $finder = new PathFinder(new Neck(Tuning::standard()), new PathWishes(bass: BassMotion::Stepwise));
    $least = leastOfAllLines($candidates, static function (array $chosen): bool {
        $bass = array_map(static fn (Voicing $voicing): int => $voicing->bassMidi(), $chosen);

        return max(array_map(
            static fn (int $from, int $to): int => abs($to - $from),
            array_slice($bass, 0, -1),
            array_slice($bass, 1),
        )) <= 2;
    });
    expect(is_finite($least))->toBeTrue()->and($finder->asWished($candidates)->cost)->toEqualWithDelta($least, 1e-9);
});

it('says so where the bass cannot go by steps', function (): void {
    (new PathFinder(
        new Neck(Tuning::standard()),
        new PathWishes(bass: BassMotion::Stepwise),
    ))->asWished(candidatesFor('C5 F♯5', 20, Company::Alone));
})->throws(NeckException::class, 'cannot go by steps');

it('moves one grip along when asked to', function (): void {
    $candidates = candidatesFor('C9 B9 B♭9 A9', 60);
    $shapes = static fn (bool $parallel): array => array_unique(array_map(
        static fn (Voicing $voicing): string => $voicing->shape(),
        (new PathFinder(new Neck(Tuning::standard()), new PathWishes(parallel: $parallel)))->asWished($candidates)->voicings,
    ));

    expect($shapes(true))->toHaveCount(1)->and($shapes(true)[0])->not->toContain('open');
});

it('finds a second place for the whole line, three frets away or more', function (): void {
    $candidates = candidatesFor('Dm6 B♭7 Gm7 A7', 60);
    $finder = new PathFinder(new Neck(Tuning::standard()));
    $first = $finder->cheapest($candidates);
    foreach ($finder->elsewhere($candidates, $first)->voicings as $place => $voicing) {
        expect(abs($voicing->position - $first->voicings[$place]->position))->toBeGreaterThanOrEqual(3);
    }
});

it('refuses weights that weigh nothing sensible', function (float $weight): void {
    new PathWeights($weight);
})->with([-1.0, 1000.0, NAN])->throws(NeckException::class, 'Choose 0');

it('says so where no note can stay on top', function (): void {
    (new PathFinder(new Neck(Tuning::standard())))->cheapestWithCommonTop(candidatesFor('C5 C♯5', 60));
})->throws(NeckException::class, 'Let go of the common top');

it('has nothing to say about no chords', function (): void {
    expect((new PathFinder(new Neck(Tuning::standard())))->cheapest([])->voicings)->toBe([]);
});

it('finds the cheapest line that comes round to its first grip again', function (string $line, int $each): void {
    $candidates = candidatesFor($line, $each);
    $round = (new PathFinder(new Neck(Tuning::standard()), new PathWishes(loop: true)))->cheapest($candidates);
    $open = (new PathFinder(new Neck(Tuning::standard())))->cheapest($candidates);

    expect($round->cost)->toEqualWithDelta(leastOfAllLines($candidates, static fn (): bool => true, loop: true), 1e-9)
        ->and($round->cost)->toBeGreaterThanOrEqual($open->cost);
})->with([['Dm7 G7 Cmaj7 A7', 8], ['C F G', 12], ['E7', 5], ['Am F C G Em', 5]]);

it('puts grips first that cost least between their neighbours', function (): void {
    [$before, $grips, $after] = [candidatesFor('Dm7', 1)[0][0], candidatesFor('G7', 30)[0], candidatesFor('Cmaj7', 1)[0][0]];
    $finder = new PathFinder(new Neck(Tuning::standard()));
    $sorted = $finder->inLine($grips, $before, $after);
    $costs = array_map(static fn (Voicing $grip): float => $finder->costOf($before, $grip, $after), $sorted);
    $rising = $costs;
    sort($rising);

    expect($costs)->toBe($rising)->and($sorted)->toHaveCount(30)->and($finder->inLine($grips, null, null))->toBe($grips)
        ->and($sorted[0])->toBe($finder->cheapest([[$before], $grips, [$after]])->voicings[1]);
});

it('finds a finger that slides on its string cheaper than one that comes anew', function (): void {
    $neck = new Neck(Tuning::standard());
    $finder = new VoicingFinder($neck);
    $grip = static fn (string $symbol, array $frets): Voicing => $finder->voicing(ChordSymbol::parse($symbol), $frets)
        ?? throw new LogicException('no grip');
    $cost = new Gravik\Neck\Line\Internal\ChangeCost(
        $neck,
        new PathWishes(weights: new PathWeights(shift: 0.0, fingers: 1.0, top: 0.0, rank: 0.0)),
    );
    $from = $cost->unpacked($grip('C5', [null, 3, 5, 5, null, null]));
    $slid = $cost->unpacked($grip('D5', [null, 5, 7, 7, null, null]));
    $anew = $cost->unpacked($grip('G5', [3, 5, 5, null, null, null]));
    $kept = array_intersect_key($slid['fingers'], $from['fingers']);

    expect($cost->between($from, $slid))->toEqualWithDelta(count($kept) / 3, 1e-9)
        ->and($cost->between($from, $anew))->toEqualWithDelta((float) count($anew['fingers']), 1e-9);
});

it('weighs travel, fingers, top and rank as the handbook of the job does unless the teacher moves them', function (): void {
    $usual = new PathWeights();

    expect([$usual->shift, $usual->fingers, $usual->top, $usual->rank])->toBe([2.0, 0.3, 0.15, 1.0]);
});
