<?php

declare(strict_types=1);

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Change\FigureKeeper;
use Gravik\Breakdown\Change\FigurePlacer;
use Gravik\Breakdown\Change\PassAdder;
use Gravik\Breakdown\Change\RegisterPlanner;
use Gravik\Breakdown\Figure;
use Gravik\Breakdown\FigureRegister;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Breakdown\RelativeTo;
use Gravik\Breakdown\TypedFigure;
use Gravik\Chart\Place;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Performance\Performer;
use Gravik\Performance\PlayedStroke;
use Gravik\Tests\Support\Examples;
use Gravik\Time\Meter;

function slipway(string $typed = '1=6:3 2=5:2 3=5:5 4=6:3'): Figure
{
    return TypedFigure::read(
        'f9',
        'slipway',
        [$typed],
        Meter::parse('4/4'),
        ChordSymbol::parse('G7'),
        Key::parse('G major'),
        RelativeTo::Chord,
    );
}

/** Four passes of G7 C7 D7, with the figure in every bar. */
function slipwaySong(): Breakdown
{
    $song = Examples::breakdown(['key' => 'G major', 'sections' => [['name' => 'A', 'line' => '| G7 | C7 | D7 |']]]);
    $song = (new FigureKeeper())->keep($song, slipway());
    foreach ([0, 1, 2] as $bar) {
        $song = (new FigurePlacer())->place($song, new PlacedFigure(slipway(), new Place($song->sections[0]->id, null, $bar, 0)));
    }
    foreach (range(1, 3) as $more) {
        $song = (new PassAdder())->add($song);
    }

    return $song;
}

it('finds registers on other strings and an octave up, all under the fingers', function (): void {
    $registers = (new RegisterPlanner())->registers(slipwaySong(), slipway());

    expect(array_map(static fn (FigureRegister $each): string => $each->words(), $registers))
        ->toContain('as typed, at fret 2')
        ->and($registers[0]->words())->toBe('as typed, at fret 2')
        ->and(count($registers))->toBeGreaterThanOrEqual(2);
    foreach (array_slice($registers, 1) as $number => $register) {
        expect($register->near - $registers[$number]->near)->toBeGreaterThanOrEqual(3)
            ->and([$register->octaves, $register->strings])->not->toBe([0, 0]);
    }
});

it('gives neighbouring passes different registers, and puts V two frets above IV', function (): void {
    $song = slipwaySong();
    $planned = (new RegisterPlanner())->apply($song, $song->figures[0]);
    $timeline = (new Performer())->perform($planned);
    $bars = [];
    foreach ($timeline->strokes as $stroke) {
        $bars[$stroke->bar][] = implode(' ', array_map(
            static fn (int $string): string => (6 - $string).':'.$stroke->voicing->frets[$string],
            $stroke->strings,
        ));
    }
    $frets = static fn (array $bar): array => array_map(static fn (string $place): int => (int) substr($place, 2), $bar);
    for ($pass = 0; $pass < 4; $pass++) {
        [$one, $four, $five] = array_slice($bars, 3 * $pass, 3);
        $next = $bars[3 * $pass + 3] ?? [];
        expect($one)->not->toBe($next)
            ->and(array_map(static fn (int $fret): int => $fret - 2, $frets($five)))->toBe($frets($four));
    }
    $pitches = static fn (PlayedStroke $stroke): int => ($stroke->voicing->midi[$stroke->strings[0]] ?? 0) % 12;
    foreach ($timeline->strokes as $number => $stroke) {
        expect($pitches($stroke))->toBe($pitches($timeline->strokes[$number % 12]));
    }
});

it('plans nothing for strokes on the grip', function (): void {
    expect((new RegisterPlanner())->plan((new FigureKeeper())->keep(slipwaySong(), slipway('1 2 3 4')), slipway('1 2 3 4')))->toBe([]);
});
