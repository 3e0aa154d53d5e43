<?php

declare(strict_types=1);

use Gravik\Breakdown\Arrangement;
use Gravik\Breakdown\ArrangementDifferences;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Change\AloneArranger;
use Gravik\Formats\BreakdownJson;
use Gravik\Performance\Performer;
use Gravik\Performance\PlayedStroke;
use Gravik\Strokes\Stroke;
use Gravik\Strokes\Zone;
use Gravik\Tests\Support\Examples;

it('fills bass and gaps where the guitar is alone, and leaves what sounds already', function (string $slots, array $chords, array $bass): void {
    $filled = AloneArranger::filled(Examples::pattern($slots));
    $at = static fn (int $line): array => array_map(static fn (Stroke $stroke): int => $stroke->at, $filled->streams[$line]->strokes ?? []);

    expect([$at(0), $at(1)])->toBe([$chords, $bass]);
})->with([
    'full already' => ['x.x.x.x.', [0, 960, 1920, 2880], []],
    'only 2 and 4' => ['..x...x.', [960, 2880], [0, 1920]],
    'upbeats alone' => ['.x.x.x.x', [480, 1440, 2400, 3360], [0, 1920]],
    'two gaps' => ['x.......', [0, 960, 2880], [1920]],
    'dead on the first beat' => ['c.x.x.x.', [0, 960, 1920, 2880], [0]],
]);

it('has a stand-in for every pattern and line, once, that plays in its place where the guitar is alone', function (): void {
    $song = Examples::breakdown(['company' => 'with-bass'], '..x...x.');
    $arranged = (new AloneArranger())->arrange($song);
    $alone = Arrangement::Alone->of($arranged);
    $strokes = (new Performer())->perform($alone)->strokes;
    $low = array_filter($strokes, static fn (PlayedStroke $stroke): bool => $stroke->stroke->strings === Zone::Bass);

    expect(array_column($arranged->patterns, 'aloneOf'))->toBe([null, 'p1'])->and(array_column($arranged->lines, 'aloneOf'))->toBe([null, 'l1'])
        ->and((new AloneArranger())->arrange($arranged))->toEqual($arranged)
        ->and(count($alone->parts))->toBe(1)->and(count($low))->toBe(count($alone->course()->bars) * 2)
        ->and(Arrangement::WithBand->of($arranged))->toBe($arranged)
        ->and((new Performer())->perform($arranged)->events)->toEqual((new Performer())->perform($song)->events);
    foreach ($low as $stroke) {
        expect($stroke->voicing->bassMidi() % 12)->toBe(($stroke->voicing->chord->bass ?? $stroke->voicing->chord->root)->pitchClass());
    }
});

it('says what is struck otherwise alone, stroke by stroke', function (string $slots, string $alone, string $words): void {
    $song = (new AloneArranger())->arrange(Examples::breakdown([], $slots));
    $song = $song->withPattern($song->patterns[1]->with(Examples::pattern($alone), $song->patterns[1]->school));

    expect(ArrangementDifferences::words($song, $song->patterns[1]))->toBe($words)
        ->and(ArrangementDifferences::words($song, $song->patterns[0]))->toBeNull();
})->with([
    'the same' => ['x.x.x.x.', 'x.x.x.x.', ''],
    'more' => ['..x...x.', 'x.x...x.', 'more on beat 1'],
    'fewer' => ['x.xxx.x.', 'x.x.x.x.', 'gone on the “&” of beat 2'],
    'of another kind, and more' => ['x.c.x.c.', 'x.x.x.cx', 'more on the “&” of beat 4; otherwise on beat 2'],
]);

it('refuses a stand-in that cannot take the place', function (string $list, array $told, string $pointer): void {
    $document = (new BreakdownJson())->write(Examples::breakdown());
    $document[$list][] = $told + $document[$list][0];
    $read = static fn (): Breakdown => (new BreakdownJson())->read($document);

    expect($read)->toThrow(fn (Gravik\Formats\DocumentNotReadable $problem) => expect($problem->pointer)->toBe($pointer));
})->with([
    'of nothing' => ['patterns', ['id' => 'p2', 'aloneOf' => 'p9'], '/patterns/1/aloneOf'],
    'of itself' => ['patterns', ['id' => 'p2', 'aloneOf' => 'p2'], '/patterns/1/aloneOf'],
    'a line of nothing' => ['lines', ['id' => 'l2', 'aloneOf' => 'high'], '/lines/1/aloneOf'],
]);
