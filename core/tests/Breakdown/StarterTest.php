<?php

declare(strict_types=1);

use Gravik\Band\BandPart;
use Gravik\Breakdown\Beginning;
use Gravik\Breakdown\Starter;
use Gravik\Performance\Performer;
use Gravik\Strokes\Written\CountLine;

it('starts every genre word with a pattern, a groove and a tempo that go together', function (Starter $starter): void {
    [$slowest, $fastest] = $starter->pattern->tempo;

    expect($starter->pattern->pattern->meter->text())->toBe($starter->groove->meter->text())
        ->and($starter->tempo->bpm)->toBeGreaterThanOrEqual($slowest)->toBeLessThanOrEqual($fastest)
        ->and($starter->word)->toMatch('/^[A-Z][a-z -]+$/');
})->with(static fn (): array => array_map(static fn (Starter $starter): array => [$starter], array_column(Starter::all(), null, 'slug')));

it('knows what a word means', function (string $slug, string $word, string $pattern, string $groove, float $bpm): void {
    $starter = array_column(Starter::all(), null, 'slug')[$slug];

    expect([$starter->word, $starter->pattern->slug, $starter->groove->slug, $starter->tempo->bpm])->toBe([$word, $pattern, $groove, $bpm]);
})->with([['swing', 'Swing', 'four-to-the-bar', 'four-walk', 138.0], ['slow-twelve', 'Slow twelve', 'slow-twelve', 'slow-twelve', 58.0]]);

it('begins with a plain strum that leans on two and four, bass and drums along', function (): void {
    $blank = Beginning::blank();

    expect(CountLine::write($blank->patterns[0]->pattern))->toBe('1 (&) 2! & 3 (&) 4! &')
        ->and(array_map(static fn (BandPart $part): string => $part->id, $blank->parts))->toBe(['drums', 'bass', 'guitar'])
        ->and((new Performer())->perform($blank)->seconds)->toBe(0.0);
});
