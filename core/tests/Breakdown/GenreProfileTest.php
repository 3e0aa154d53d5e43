<?php

declare(strict_types=1);

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Band\Role;
use Gravik\Band\Style;
use Gravik\Breakdown\Beginning;
use Gravik\Breakdown\GenreProfile;
use Gravik\Chart\Section;
use Gravik\Ensemble\Clash;
use Gravik\Ensemble\ClashKind;
use Gravik\Ensemble\ClashReporter;
use Gravik\Formats\BreakdownJson;
use Gravik\Performance\Performer;
use Gravik\Strokes\Written\CountLine;

it('starts every genre word with a pattern, a groove and a tempo that go together', function (GenreProfile $profile): void {
    [$slowest, $fastest] = $profile->pattern->tempo;

    expect($profile->pattern->pattern->meter->text())->toBe($profile->groove->meter->text())
        ->and($profile->tempo->bpm)->toBeGreaterThanOrEqual($slowest)->toBeLessThanOrEqual($fastest)
        ->and($profile->pattern->feel->ratio > 1.15)->toBe($profile->groove->style === Style::Swing)
        ->and($profile->word)->toMatch('/^[A-Z][a-z, -]+$/')
        ->and($profile->caution)->toMatch('/^[A-Z].+[.]$/');
})->with(
    static fn (): array => array_map(
        static fn (GenreProfile $profile): array => [$profile],
        array_column(GenreProfile::all(), null, 'slug'),
    ),
);

it('knows what a word means', function (string $slug, string $word, string $pattern, string $groove, float $bpm): void {
    $profile = array_column(GenreProfile::all(), null, 'slug')[$slug];

    expect([$profile->word, $profile->pattern->slug, $profile->groove->slug, $profile->tempo->bpm])->toBe([$word, $pattern, $groove, $bpm]);
})->with(
    [
        ['swing', 'Four to the bar', 'four-to-the-bar', 'four-walk', 138.0],
        ['slow-twelve', 'Slow twelve', 'slow-twelve', 'slow-twelve', 58.0],
    ],
);

it('begins with a plain strum that leans on two and four, bass and drums along', function (): void {
    $blank = Beginning::blank();

    expect(CountLine::write($blank->patterns[0]->pattern))->toBe('1 (&) 2! & 3 (&) 4! &')
        ->and(array_map(static fn (BandPart $part): string => $part->id, $blank->parts))->toBe(['drums', 'bass', 'guitar'])
        ->and((new Performer())->perform($blank)->seconds)->toBe(0.0);
});

it('has eighteen words at least, each with a band that plays', function (): void {
    expect(count(GenreProfile::all()))->toBeGreaterThanOrEqual(18);
});

it('begins with a band in which nobody is in the way', function (GenreProfile $profile): void {
    $song = $profile->over(Beginning::blank());
    $beats = $profile->pattern->pattern->meter->beats();
    $song = $song->with(sections: [new Section('s1', 'A', '| Dm7 | G7 | Cmaj7 | A7 |')]);
    $timeline = (new Performer())->perform($song);
    $sounding = [];
    foreach ($timeline->events as $event) {
        $sounding[$event->part->id] = true;
    }
    foreach ($song->parts as $part) {
        $silent = ($profile->roles[$part->id] ?? Role::Active) === Role::Out || $part->instrument === Instrument::Lead;
        expect([$profile->slug, $part->id, isset($sounding[$part->id])])->toBe([$profile->slug, $part->id, ! $silent]);
    }

    expect($timeline->seconds)->toEqualWithDelta(4 * $beats * 60 / $profile->tempo->bpm, 0.001)
        ->and($song->genre)->toBe($profile->word)
        ->and(count($profile->moves))->toBeGreaterThan(1)
        ->and($song->lines[0]->company)->toBe($profile->company)
        ->and(
            (new BreakdownJson())->write((new BreakdownJson())->read((new BreakdownJson())->write($song))),
        )->toEqual((new BreakdownJson())->write($song))
        ->and(array_map(
            static fn (Clash $clash): string => $clash->text,
            array_filter(
                (new ClashReporter())->report($song, $timeline)->clashes,
                static fn (Clash $clash): bool => ! in_array($clash->kind, [ClashKind::RootDoubled, ClashKind::Mud], true),
            ),
        ))->toBe([]);
})->with(
    static fn (): array => array_map(
        static fn (GenreProfile $profile): array => [$profile],
        array_column(GenreProfile::all(), null, 'slug'),
    ),
);
