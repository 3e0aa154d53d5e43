<?php

declare(strict_types=1);

use Gravik\Breakdown\Toolbox;
use Gravik\Harmony\ChordSymbol;
use Gravik\Neck\Grip\Voicing;
use Gravik\Performance\Internal\ZoneStrings;
use Gravik\Strokes\Direction;
use Gravik\Strokes\Stroke;
use Gravik\Strokes\Zone;
use Gravik\Tests\Support\Examples;

/** @param list<int|null> $frets */
function struckGrip(string $chord, array $frets): Voicing
{
    $grip = Toolbox::of(Examples::breakdown())->finder()->voicing(ChordSymbol::parse($chord), $frets);

    return $grip ?? throw new LogicException("{$chord} is no such grip");
}

/** @param list<int>|Zone $strings */
function met(array|Zone $strings, Voicing $grip, Direction $direction = Direction::Down): array
{
    return ZoneStrings::of(new Stroke(0, 2, direction: $direction, strings: $strings), $grip);
}

it('meets the strings of a zone, counted from those that sound', function (Zone $zone, array $of5, array $of3): void {
    expect(met($zone, struckGrip('C', [null, 3, 2, 0, 1, 0])))->toBe($of5)
        ->and(met($zone, struckGrip('C', [null, null, null, 0, 1, 0])))->toBe($of3);
})->with([
    [Zone::All, [1, 2, 3, 4, 5], [3, 4, 5]],
    [Zone::Bass, [1], [3]],
    [Zone::Low, [1, 2], [3]],
    [Zone::High, [3, 4, 5], [4, 5]],
    [Zone::Middle, [2, 3, 4], [4]],
]);

it('meets both of two strings where a middle is asked for', function (): void {
    expect(met(Zone::Middle, struckGrip('C5', [null, 3, 5, null, null, null])))->toBe([1, 2]);
});

it('meets named strings where they sound, from the top when the hand goes up', function (): void {
    expect(met([6, 4, 2], struckGrip('C', [null, 3, 2, 0, 1, 0])))->toBe([2, 4])
        ->and(met([6, 4, 2], struckGrip('C', [null, 3, 2, 0, 1, 0]), Direction::Up))->toBe([4, 2]);
});
