<?php

declare(strict_types=1);

use Gravik\Breakdown\Breakdown;
use Gravik\Harmony\ChordSymbol;
use Gravik\Lesson\Steps\HardChanges;
use Gravik\Neck\Finder\VoicingFinder;
use Gravik\Neck\Neck;
use Gravik\Neck\Tuning;
use Gravik\Performance\ChangeRepairs;
use Gravik\Performance\ChangeWindow;
use Gravik\Performance\ChangeWindows;
use Gravik\Performance\Performer;
use Gravik\Performance\Repair;
use Gravik\Tests\Support\Examples;

/** Two grips far apart, four strokes a bar. */
function farApart(float $tempo, string $slots = 'x.x.x.x.'): Breakdown
{
    return Examples::breakdown(['key' => 'C major', 'tempo' => $tempo, 'sections' => [['name' => 'A', 'line' => '| F | B♭ |']], 'pins' => [
        ['section' => 0, 'bar' => 0, 'at' => 0, 'symbol' => 'F', 'frets' => [1, 3, 3, 2, 1, 1]],
        ['section' => 0, 'bar' => 1, 'at' => 0, 'symbol' => 'B♭', 'frets' => [6, 8, 8, 7, 6, 6]],
    ]], $slots);
}

function windowOf(Breakdown $breakdown): ChangeWindow
{
    return (new ChangeWindows($breakdown->neck))->of((new Performer())->perform($breakdown))[0];
}

it('needs 100 ms and 60 ms for each doubling of the way against the width of the fret', function (): void {
    $window = windowOf(farApart(120));
    $wire = static fn (int $fret): float => 648 * (1 - 2 ** (-$fret / 12));
    $tip = static fn (int $fret): float => $wire($fret) - 0.3 * ($wire($fret) - $wire($fret - 1));

    expect($window->travelMm)->toEqualWithDelta($tip(6) - $tip(1), 1e-6)
        ->and($window->needMs)->toEqualWithDelta(100 + 60 * log(($tip(6) - $tip(1)) / ($wire(6) - $wire(5)) + 1, 2), 1e-6);
});

it('counts the time from where the old grip may be let go to the first stroke of the new one', function (float $tempo): void {
    // The last quarter rings to the next stroke; half of it has to be heard.
    expect(windowOf(farApart($tempo))->haveMs)->toEqualWithDelta(0.5 * 60000 / $tempo, 0.5);
})->with([60, 120, 240]);

it('needs no time where no finger moves, and leaves the hand free after a dead stroke', function (): void {
    $same = new ChangeWindows(new Neck(Tuning::standard()));
    $finder = new VoicingFinder(new Neck(Tuning::standard()));
    $am = $finder->voicing(ChordSymbol::parse('Am'), [null, 0, 2, 2, 1, 0]);
    $onE = $finder->voicing(ChordSymbol::parse('Am'), [0, 0, 2, 2, 1, 0]);

    expect($am !== null && $onE !== null ? $same->needMs($am, $onE) : null)->toBe(0.0)
        ->and(windowOf(farApart(120, 'x.x.x.c.'))->haveMs)->toBeGreaterThan(0.99 * 500);
});

it('needs no gap where one grip slides a fret or two, and one where it goes farther', function (int $by, bool $gap): void {
    $finder = new VoicingFinder(new Neck(Tuning::standard()));
    $from = $finder->voicing(ChordSymbol::parse('F'), [1, 3, 3, 2, 1, 1]) ?? throw new LogicException('no grip');
    $to = $finder->voicing(
        ChordSymbol::parse('F'),
        array_map(static fn (?int $fret): ?int => $fret === null ? null : $fret + $by, $from->frets),
    )
        ?? throw new LogicException('no grip');

    expect((new ChangeWindows(new Neck(Tuning::standard())))->needMs($from, $to) > 0)->toBe($gap);
})->with([[1, false], [2, false], [3, true]]);

it('says which fingers stay and slide, and what both grips share', function (): void {
    $breakdown = Examples::breakdown(['key' => 'C major', 'sections' => [['name' => 'A', 'line' => '| C | Am |']], 'pins' => [
        ['section' => 0, 'bar' => 0, 'at' => 0, 'symbol' => 'C', 'frets' => [null, 3, 2, 0, 1, 0]],
        ['section' => 0, 'bar' => 1, 'at' => 0, 'symbol' => 'Am', 'frets' => [null, 0, 2, 2, 1, 0]],
    ]]);
    $window = windowOf($breakdown);

    expect($window->stay)->toBe([1, 2])->and($window->common)->toBe([4, 2, 1])->and($window->slide)->toBe([]);
});

it('offers repairs that make the change fit when they are played, and none that do not', function (): void {
    $breakdown = farApart(200);
    $timeline = (new Performer())->perform($breakdown);
    $window = windowOf($breakdown);
    $repairs = (new ChangeRepairs())->of($breakdown, $timeline, $window);

    expect($window->fits())->toBeFalse()
        ->and(array_map(static fn (Repair $repair): string => strtok($repair->text, ' '), $repairs))->toContain(
            'Let',
            'Hold',
            'Make',
            'Strike',
        );
    foreach ($repairs as $repair) {
        $again = array_values(array_filter((new ChangeWindows($breakdown->neck))->of((new Performer())->perform($repair->breakdown)),
            static fn (ChangeWindow $each): bool => $each->first->tick === $window->first->tick));
        expect($again === [] || $again[0]->fits())->toBeTrue();
    }
});

it('shows a change that comes again and again once, and repairs none that fits', function (): void {
    $breakdown = Examples::breakdown(
        ['key' => 'C major', 'tempo' => 60, 'sections' => [['name' => 'A', 'line' => '| F | B♭ | F | B♭ | F |']]],
        'x.x.x.x.',
    );
    $timeline = (new Performer())->perform($breakdown);
    $windows = (new ChangeWindows($breakdown->neck))->different($timeline);

    expect(count((new ChangeWindows($breakdown->neck))->of($timeline)))->toBe(4)->and(count($windows))->toBeLessThan(4)
        ->and($windows[0]->fits())->toBeTrue()->and((new ChangeRepairs())->of($breakdown, $timeline, $windows[0]))->toBe([]);
});

it('measures the way to open strings against the width of the first fret', function (): void {
    $neck = new Neck(Tuning::standard());
    $finder = new VoicingFinder($neck);
    $far = $finder->voicing(ChordSymbol::parse('G'), [null, null, 12, 12, 12, 15]) ?? throw new LogicException('no grip');
    $open = $finder->voicing(ChordSymbol::parse('G'), [null, null, 0, 0, 0, 3]) ?? throw new LogicException('no grip');
    $windows = new ChangeWindows($neck);
    $width = $open->position === 0 ? $neck->fretMm(1) : $neck->fretMm($open->position) - $neck->fretMm($open->position - 1);

    expect($windows->needMs($far, $open))->toEqualWithDelta(
        100 + 60 * log($neck->travelMm($far->position, $open->position) / $width + 1, 2),
        1e-9,
    );
});

it('fits where there is just the time that is needed', function (): void {
    $window = windowOf(farApart(120));
    $with = static fn (float $have): ChangeWindow => new ChangeWindow(
        $window->chord, $window->from, $window->to, $have, 200.0, $window->travelMm, [], [], [], $window->last, $window->first,
    );

    expect([$with(200.0)->fits(), $with(199.9)->fits()])->toBe([true, false]);
});

it('deserves a stage of its own where a change needs more than nine tenths of its time', function (): void {
    $share = static function (float $tempo): array {
        $song = farApart($tempo);
        $timeline = (new Performer())->perform($song);
        $windows = (new ChangeWindows($song->neck))->of($timeline);
        $most = max(array_map(static fn (ChangeWindow $window): float => $window->needMs / $window->haveMs, $windows));

        return [$most, HardChanges::of(new ChangeWindows($song->neck), $timeline) !== []];
    };
    $seen = [];
    foreach (range(60, 400, 4) as $tempo) {
        [$most, $hard] = $share((float) $tempo);
        expect($hard)->toBe($most > 0.9);
        $seen[] = $most > 0.9 ? ($most < 1 ? 'just' : 'far') : 'easy';
    }

    expect(array_unique($seen))->toContain('easy', 'just', 'far');
});
