<?php

declare(strict_types=1);

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Toolbox;
use Gravik\Chart\ApproachKind;
use Gravik\Chart\ChartException;
use Gravik\Chart\Move;
use Gravik\Chart\Place;
use Gravik\Chart\PlacedApproach;
use Gravik\Chart\PlacedMove;
use Gravik\Neck\Grip\Voicing;
use Gravik\Performance\Performer;
use Gravik\Performance\PlayedStroke;
use Gravik\Tests\Support\Examples;

function fourBars(array $approaches = []): Breakdown
{
    return Examples::breakdown([
        'key' => 'G major', 'company' => 'with-bass', 'sections' => [
            ['name' => 'A', 'line' => '| G9 | % | % | % |'],
            ['name' => 'B', 'line' => '| C9 | D9 |'],
        ],
        'pins' => [['section' => 1, 'bar' => 0, 'at' => 0, 'symbol' => 'C9', 'frets' => [null, 10, 8, 9, 8, 10]]],
        'approaches' => $approaches,
    ], 'x.x.x.x.');
}

function placed(ApproachKind $kind, int $steps, int $slotTicks = 480): ?PlacedApproach
{
    $breakdown = fourBars();

    $tools = Toolbox::of($breakdown);

    return $tools->approacher()->place($breakdown->course(), $tools->voiced(), 4, new Move('m', '', $kind, $steps, $slotTicks));
}

/** @return list<string> */
function shapesOf(?PlacedApproach $approach): array
{
    return array_map(static fn (Voicing $grip): string => $grip->chord->text().' '.$grip->text(), $approach->grips ?? []);
}

it('walks fret by fret so that the target comes on time', function (): void {
    $walk = placed(ApproachKind::WalkUp, 5);

    // Five slots of an eighth before bar 5 beat 1: the "and" of beat 2 of bar 4.
    expect($walk?->fromTicks)->toBe(4 * 3840 - 5 * 480)
        ->and($walk?->untilTicks())->toBe(4 * 3840)
        ->and(array_map(static fn (Voicing $grip): ?int => $grip->frets[1], $walk->grips ?? []))->toBe([5, 6, 7, 8, 9]);
});

it('moves every name with the grip', function (ApproachKind $kind, int $steps, array $expected): void {
    expect(shapesOf(placed($kind, $steps)))->toBe($expected);
})->with([
    'from below' => [ApproachKind::SlideFromBelow, 1, ['B9 x 9 7 8 7 9']],
    'from above' => [ApproachKind::SlideFromAbove, 1, ['D♭9 x 11 9 10 9 11']],
    'down in whole tones' => [ApproachKind::WholeTones, 2, ['E9 x 14 12 13 12 14', 'D9 x 12 10 11 10 12']],
    'down in whole tones and a half' => [
        ApproachKind::WholeTonesAndAHalf,
        3,
        ['F9 x 15 13 14 13 15', 'E♭9 x 13 11 12 11 13', 'D♭9 x 11 9 10 9 11'],
    ],
]);

it('has nothing where the neck or the song has no room', function (): void {
    $short = Examples::breakdown([
        'key' => 'G major',
        'sections' => [['name' => 'A', 'line' => '| C9 |']],
        'pins' => [['section' => 0, 'bar' => 0, 'at' => 0, 'symbol' => 'C9', 'frets' => [null, 10, 8, 9, 8, 10]]],
    ]);
    $longer = new Move('m', '', ApproachKind::SlideFromBelow, 1, 3840);
    $tools = Toolbox::of($short);

    expect(placed(ApproachKind::WalkDown, 8))->toBeNull()
        ->and($tools->approacher()->place($short->course(), $tools->voiced(), 0, $longer)?->fromTicks)->toBe(0)
        ->and($tools->approacher()->place(
            $short->course(),
            $tools->voiced(),
            0,
            new Move('m', '', ApproachKind::WalkUp, 2, 3840),
        ))->toBeNull();
});

it('lets one voice fall by semitones from the seventh to the fifth while the tonic is held', function (string $key): void {
    $breakdown = Examples::breakdown(['key' => $key, 'sections' => [['name' => 'A', 'line' => '| I | V7 |']]]);
    $move = new Move('m', '', ApproachKind::InnerLine, 4, 480);
    $line = Toolbox::of($breakdown)->approacher()->place($breakdown->course(), Toolbox::of($breakdown)->voiced(), 1, $move);
    $lower = array_map(static fn (Voicing $grip): int => $grip->bassMidi(), $line->grips ?? []);
    $upper = array_unique(array_map(static fn (Voicing $grip): int => $grip->topMidi(), $line->grips ?? []));

    expect($lower)->toBe(range($lower[0] ?? 0, ($lower[0] ?? 0) - 3))
        ->and((($lower[0] ?? 0) - $breakdown->start->key->tonic->pitchClass()) % 12)->toBe(10)
        ->and($upper)->toHaveCount(1)->and((($upper[0] ?? 0) - $breakdown->start->key->tonic->pitchClass()) % 12)->toBe(0);
})->with(['G major', 'E major', 'B♭ major', 'D minor']);

it('sounds its grips in place of the pattern, one a slot, and the pattern before and after', function (): void {
    $with = (new Performer())->perform(fourBars([[
        'section' => 1,
        'bar' => 0,
        'at' => 0,
        'symbol' => 'C9',
        'kind' => 'walk-up',
        'steps' => 3,
        'slotTicks' => 480,
    ]]));
    $bar4 = array_values(array_filter(
        $with->strokes,
        static fn (PlayedStroke $stroke): bool => $stroke->tick >= 3 * 3840 && $stroke->tick <= 4 * 3840,
    ));

    expect(array_map(static fn (PlayedStroke $stroke): int => $stroke->tick - 3 * 3840, $bar4))
        ->toBe([0, 960, 1920, 2400, 2880, 3360, 3840])
        ->and(array_map(static fn (PlayedStroke $stroke): ?int => $stroke->voicing->frets[1], array_slice($bar4, 3)))->toBe([7, 8, 9, 10]);
    foreach (array_slice($bar4, 3, 3) as $place => $stroke) {
        // Each rings to the next slot and no longer.
        expect(max($stroke->ends))->toEqualWithDelta($bar4[$place + 4]->t, 1e-6);
    }
});

it('leads to the first chord from the end of the song', function (): void {
    $breakdown = fourBars();
    $tools = Toolbox::of($breakdown);

    expect($tools->approacher()->place(
        $breakdown->course(),
        $tools->voiced(),
        0,
        new Move('m', '', ApproachKind::SlideFromBelow, 1, 480),
    )?->fromTicks)
        ->toBe(6 * 3840 - 480);
});

it('refuses walks that nobody can play', function (int $steps, int $slot): void {
    expect(fn () => new Move('m', '', ApproachKind::WalkUp, $steps, $slot))->toThrow(ChartException::class);
})->with([[0, 480], [9, 480], [2, 100], [2, 4000]]);

it('says where it begins, as musicians count', function (int $ticks, string $words): void {
    $breakdown = Examples::breakdown();
    $approach = new PlacedApproach(ApproachKind::WalkUp, 1, $ticks, 480, [Toolbox::of($breakdown)->voiced()->path->voicings[0]]);
    expect($approach->from($breakdown->course()->timeMap()))->toBe($words);
})->with([
    [0, 'bar 1, beat 1'], [3840 + 960, 'bar 2, beat 2'], [
        3840 + 1920 + 480,
        'bar 2, the half of beat 3',
    ], [2880 + 240, 'bar 1, beat 4.25'], [960 + 720, 'bar 1, beat 2.75'],
]);

it('walks in slots of a sixteenth up to a whole note', function (int $slot): void {
    expect((new Move('m', '', ApproachKind::WalkUp, 8, $slot))->slotTicks)->toBe($slot);
})->with([240, 3840]);

it('belongs to a chord by its place and its name', function (): void {
    $form = fourBars()->written();
    $at = $form->chords[0]->at;
    $placed = static fn (Place $place, string $symbol): PlacedMove => new PlacedMove(
        new Move('m', '', ApproachKind::WalkUp, 2, 480),
        $place,
        $symbol,
    );
    $symbol = $form->chords[0]->chord->text();

    expect($placed($at, $symbol)->belongsTo($form->chords[0]))->toBeTrue()
        ->and($placed($at, 'Zz')->belongsTo($form->chords[0]))->toBeFalse()
        ->and($placed(new Place($at->section, null, $at->bar, $at->tick + 960), $symbol)->belongsTo($form->chords[0]))->toBeFalse();
});
