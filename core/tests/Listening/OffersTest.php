<?php

declare(strict_types=1);

use Gravik\Breakdown\Desk;
use Gravik\Listening\Feel\FeelMeter;
use Gravik\Listening\Feel\FeelReading;
use Gravik\Listening\Offers\FeelOffer;
use Gravik\Listening\Offers\FeelOffers;
use Gravik\Listening\PlayedOnset;
use Gravik\Strokes\Direction;
use Gravik\Tests\Support\Examples;
use Gravik\Time\Feel;
use Gravik\Time\Meter;
use Gravik\Time\Ruler;
use Gravik\Time\Tempo;

/** Twelve bars struck exactly, with so many slots a beat. */
function heardBars(string $slots, int $grid, Feel $feel, string $meter = '4/4', float $bpm = 96): FeelReading
{
    $ruler = new Ruler(Meter::parse($meter), new Tempo($bpm), $feel);
    $onsets = [];
    for ($bar = 0; $bar < 12; $bar++) {
        foreach (array_keys(array_filter(str_split($slots), static fn (string $sign): bool => $sign === 'x')) as $slot) {
            $tick = $bar * $ruler->meter->barTicks() + $slot * intdiv($ruler->meter->beatTicks(), $grid);
            $onsets[] = new PlayedOnset(1 + $ruler->secondsAt($tick, $grid), null, false, $slot === 0 ? 3.5 : 0.0);
        }
    }

    return (new FeelMeter())->measure($onsets, $ruler->meter, $ruler->tempo, 1.0);
}

/** @return array<string, FeelOffer> */
function offersOf(FeelReading $reading): array
{
    return array_column(FeelOffers::of($reading, Desk::of(Examples::breakdown())), null, 'what');
}

it('offers tempo, feel and strokes of what was heard, each beside what the breakdown has', function (): void {
    $offers = offersOf(heardBars('x.xxx.xx', 2, Feel::fixed(2)));

    expect(
        array_map(static fn (FeelOffer $offer): string => "{$offer->heard} for {$offer->has}", $offers),
    )->toMatchArray(['Tempo' => '96 bpm for 120 bpm'])
        ->and(array_keys($offers))->toBe(['Tempo', 'Feel', 'Strokes'])
        ->and($offers['Tempo']->after->start->tempo->bpm)->toBe(96.0)
        ->and($offers['Feel']->after->start->feel->ratio)->toEqualWithDelta(2.0, 0.05)
        ->and($offers['Feel']->has)->toBe('straight')
        ->and($offers['Strokes']->heard)->toStartWith('1')->toContain('2 & 3');
});

it('offers no feel where nothing makes pairs, and takes the meter along with the strokes counted in it', function (): void {
    $offers = offersOf(heardBars('xxx', 1, Feel::straight(), '3/4'));

    expect(array_keys($offers))->toBe(['Tempo', 'Strokes'])
        ->and($offers['Strokes']->after->start->meter->text())->toBe('3/4')
        ->and($offers['Tempo']->after->start->meter->text())->toBe('4/4');
});

it('lets the arm rock through every slot of a bar', function (): void {
    [$down, $up] = [Direction::Down, Direction::Up];

    expect(heardBars('x.xxx.xx', 2, Feel::straight())->arm())->toBe([$down, $up, $down, $up, $down, $up, $down, $up])
        ->and(heardBars('xxx', 1, Feel::straight(), '3/4')->arm())->toBe([$down, $down, $down]);
});
