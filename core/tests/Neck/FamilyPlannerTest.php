<?php

declare(strict_types=1);

use Gravik\Breakdown\Toolbox;
use Gravik\Chart\Pin;
use Gravik\Chart\Place;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Neck\Finder\VoicingFinder;
use Gravik\Neck\Grip\Frets;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\Line\FamilyPlanner;
use Gravik\Neck\Line\FamilyRoute;
use Gravik\Neck\Neck;
use Gravik\Neck\Tuning;
use Gravik\Tests\Support\Examples;

function gripOf(string $symbol, ?int ...$frets): Voicing
{
    return (new VoicingFinder(new Neck(Tuning::standard())))->voicing(ChordSymbol::parse($symbol), array_values($frets))
        ?? throw new LogicException('no grip');
}

/** @return array<string, FamilyRoute> by the way they go */
function routesFrom(Voicing $one, string $key): array
{
    $neck = new Neck(Tuning::standard());
    $routes = [];
    foreach ((new FamilyPlanner($neck, new VoicingFinder($neck), Key::parse($key)))->routes($one) as $route) {
        $routes[$route->way] = $route;
    }

    return $routes;
}

it('holds I, IV and V by moving one shape, and by changing to a nearer one', function (): void {
    $routes = routesFrom(gripOf('G7', 3, 5, 3, 4, 3, 3), 'G major');
    $frets = static fn (FamilyRoute $route): array => array_map(
        static fn (Voicing $grip): string => $grip->chord->text().' '.$grip->text(),
        $route->grips,
    );

    expect($frets($routes['one shape moved']))->toBe(['G7 3 5 3 4 3 3', 'C7 8 10 8 9 8 8', 'D7 10 12 10 11 10 10'])
        ->and($routes['one shape moved']->frets)->toBe(5 + 2 + 7)
        ->and($routes)->toHaveKey('E shape to A shape')
        ->and($routes['E shape to A shape']->frets)->toBeLessThan($routes['one shape moved']->frets);
    foreach ($routes as $route) {
        expect(Frets::raised($route->grips[1]->frets, 2))->toBe($route->grips[2]->frets);
    }
});

it('measures the way of the hand in millimetres along the neck, the shortest way first', function (): void {
    $neck = new Neck(Tuning::standard());
    $tip = static fn (int $fret): float => 648 * (1 - 2 ** (-$fret / 12)) - 0.3 * 648 * (2 ** (-($fret - 1) / 12) - 2 ** (-$fret / 12));
    $routes = routesFrom(gripOf('G7', 3, 5, 3, 4, 3, 3), 'G major');
    $millimetres = array_map(static fn (FamilyRoute $route): float => $route->travelMm, array_values($routes));
    $sorted = $millimetres;
    sort($sorted);

    expect($routes['one shape moved']->travelMm)->toEqualWithDelta(2 * ($tip(10) - $tip(3)), 1e-6)->and($millimetres)->toBe($sorted);
});

it('lets the V follow the IV two frets up for as long as it is linked', function (): void {
    $pins = static fn (array $frets, bool $linked): array => [[
        'section' => 0,
        'bar' => 1,
        'at' => 0,
        'symbol' => 'C9',
        'frets' => $frets,
        'linked' => $linked,
    ]];
    $grips = static function (array $pins): array {
        $breakdown = Examples::breakdown([
            'key' => 'G major',
            'company' => 'with-bass',
            'sections' => [['name' => 'A', 'line' => '| G9 | C9 | D9 | C7 |']],
            'pins' => $pins,
        ]);

        return array_map(static fn (Voicing $grip): string => $grip->text(), Toolbox::of($breakdown)->voiced()->path->voicings);
    };

    expect($grips($pins([null, 3, 2, 3, 3, null], true))[2])->toBe('x 5 4 5 5 x')
        ->and($grips($pins([null, 3, 2, 3, 3, null], true))[0])->not->toBe('x 10 9 10 10 x')
        ->and($grips($pins([8, 7, 8, 7, null, null], true))[2])->toBe('10 9 10 9 x x')
        ->and($grips($pins([8, 7, 8, 7, null, null], false))[2])->not->toBe('10 9 10 9 x x');
});

it('slides a grip by the shorter way, and leaves open strings where they are', function (array $frets, int $semitones, ?array $expected): void {
    expect(Frets::raised($frets, $semitones))->toBe($expected);
})->with([
    'up' => [[null, 3, 2, 3, 3, null], 2, [null, 5, 4, 5, 5, null]],
    'down is shorter' => [[8, 10, 10, 9, 8, 8], 7, [3, 5, 5, 4, 3, 3]],
    'down leaves the neck' => [[3, 5, 5, 4, 3, 3], 7, [10, 12, 12, 11, 10, 10]],
    'open string' => [[null, 3, 2, 0, 1, 0], 2, null],
    'no room either way' => [[null, 5, 11, null, null, null], 6, null],
]);

it('carries a linked grip to another key', function (): void {
    $moved = (new Pin(new Place('s1', null, 0, 0), 'C9', [null, 3, 2, 3, 3, null], true))->movedBy(2, 'D9');
    expect($moved?->linked)->toBeTrue()->and($moved?->frets)->toBe([null, 5, 4, 5, 5, null]);
});
