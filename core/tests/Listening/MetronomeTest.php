<?php

declare(strict_types=1);

use Gravik\Formats\TakeFile;
use Gravik\Listening\Hearing\Internal\Metronome;
use Gravik\Listening\PlayedOnset;
use Gravik\Performance\Performer;
use Gravik\Performance\PlayedStroke;
use Gravik\Simulation\Material\MaterialTake;
use Gravik\Simulation\Material\Place;
use Gravik\Simulation\Material\Way;
use Gravik\Simulation\SimulatedPlayer;
use Gravik\Simulation\SimulatedTake;
use Gravik\Tests\Support\Examples;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** @return array{list<float>, list<int>} rises with a click every $period ms and strokes between and near them, and where those are */
function clicked(float $period, float $clicks, float $spread): array
{
    $chance = new Randomizer(new Mt19937(4));
    $rises = array_fill(0, 20_000, 0.1);
    $strokes = [];
    for ($place = 1.0; $place * $period < 19_500; $place += 0.5) {
        $strokes[] = (int) round($place * $period + 12 + $spread * ($chance->getInt(-100, 100) + $chance->getInt(-100, 100)) / 100);
        $rises[$strokes[count($strokes) - 1]] = 4.0;
    }
    for ($click = 1; $click * $period < 19_500; $click++) {
        $rises[(int) round($click * $period)] = $clicks;
    }

    return [$rises, $strokes];
}

it('takes out clicks that come back to the millisecond between strokes that scatter, and no stroke', function (float $period): void {
    [$rises, $strokes] = clicked($period, 3.0, 7.0);
    $left = Metronome::among($rises, $strokes)?->takenOutOf($rises) ?? [];
    $apart = static fn (int $stroke): float => $period * abs($stroke / $period - round($stroke / $period));

    for ($click = 1; $click * $period < 19_500; $click++) {
        expect($left[(int) round($click * $period)] ?? null)->toBeIn([0.0, 4.0]);
    }
    foreach (array_filter($strokes, static fn (int $stroke): bool => $apart($stroke) > 4) as $stroke) {
        expect($left[$stroke])->toBe(4.0);
    }
})->with([340.9, 483.87, 625.0, 882.35]);

it('takes nothing for a metronome that is none', function (float $clicks, float $spread): void {
    [$rises, $strokes] = clicked(483.87, $clicks, $spread);

    expect(Metronome::among($rises, $strokes))->toBeNull();
})->with(['no click at all' => [0.1, 7.0], 'strokes as regular as the clicks' => [3.0, 0.0]]);

it('tells strokes at their own moments where a click comes ahead of them, and hardly a click for a stroke', function (Way $way): void {
    $timeline = (new Performer())->perform(Examples::breakdown(['tempo' => 124], 'X.xxX.xx'));
    $strokes = (new SimulatedPlayer(14, 0, 7, 0, 3))->play($timeline, 8);
    $path = (string) tempnam(sys_get_temp_dir(), 'gravik-clicks-');
    file_put_contents($path, (new MaterialTake($way, Place::Bleed, 5, 6.0))->wav($strokes, 60 / 124));
    $sure = TakeFile::read($path, 'take.wav')->sure();
    unlink($path);
    $heard = array_map(static fn (PlayedOnset $stroke): float => $stroke->t - SimulatedTake::LEAD, $sure);
    $off = array_map(
        static fn (PlayedStroke $stroke): float => min(array_map(static fn (float $t): float => 1000 * abs($t - $stroke->t), $heard)),
        $strokes,
    );
    sort($off);

    expect(count($heard))->toBeLessThanOrEqual(count($strokes) + 1)
        ->and(array_sum($off) / count($off))->toBeLessThan(2.0)
        ->and($off[(int) (0.9 * count($off))])->toBeLessThan(4.0);
})->with([Way::Fm, Way::Driven]);
