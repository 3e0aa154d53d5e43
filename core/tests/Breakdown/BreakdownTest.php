<?php

declare(strict_types=1);

use Gravik\Band\BandException;
use Gravik\Band\BandPart;
use Gravik\Band\Groove;
use Gravik\Band\Instrument;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\Change\CapoMover;
use Gravik\Breakdown\Change\PatternChanger;
use Gravik\Breakdown\Change\Retuner;
use Gravik\Breakdown\Change\SectionRemover;
use Gravik\Breakdown\Change\Transposer;
use Gravik\Breakdown\Failure\TitleOutOfRange;
use Gravik\Breakdown\Gate;
use Gravik\Breakdown\Toolbox;
use Gravik\Chart\Pin;
use Gravik\Chart\Place;
use Gravik\Chart\Section;
use Gravik\Harmony\Key;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\Tuning;
use Gravik\Tests\Support\Examples;
use Gravik\Time\Meter;

/** @return list<string> */
function gripsOf(Breakdown $breakdown): array
{
    return array_map(static fn (Voicing $voicing): string => $voicing->text(), Toolbox::of($breakdown)->voiced()->path->voicings);
}

it('moves to another key with its chords and pins, and lists the pins it had to drop', function (): void {
    $breakdown = Examples::breakdown([
        'sections' => [['name' => 'A', 'line' => '| Dm6 | i6 | B♭7 A7 |']],
        'pins' => [
            ['section' => 0, 'bar' => 0, 'at' => 0, 'symbol' => 'Dm6', 'frets' => [null, 5, 7, 4, 6, null]],
            ['section' => 0, 'bar' => 2, 'at' => 1920, 'symbol' => 'A7', 'frets' => [null, 0, 2, 0, 2, 0]],
        ],
    ]);
    $moved = (new Transposer())->transpose($breakdown, Key::parse('E minor'));

    expect($moved->breakdown->sections[0]->line)->toBe('| Em6 | i6 | C7 B7 |')
        ->and($moved->breakdown->lines[0]->pins)->toEqual([new Pin(new Place('s1', null, 0, 0), 'Em6', [null, 7, 9, 6, 8, null])])
        ->and($moved->dropped)->toEqual([$breakdown->lines[0]->pins[1]]);
});

it('comes back from any key with the line it left with', function (string $key): void {
    $home = Key::parse('D minor');
    $breakdown = Examples::breakdown(['sections' => [['name' => 'A', 'line' => '| Dm6 | B♭7 | Gm7♭5 A7♭9 | C/E |']]]);

    $away = (new Transposer())->transpose($breakdown, Key::parse($key))->breakdown;

    expect((new Transposer())->transpose($away, $home)->breakdown->sections[0]->line)
        ->toBe('| Dm6 | B♭7 | Gm7♭5 A7♭9 | C/E |');
})->with(['E minor', 'F minor', 'G minor', 'A minor', 'B minor', 'C minor', 'E♭ minor', 'F♯ minor']);

it('holds pins in place and tells which have lost their chord', function (): void {
    $breakdown = Examples::breakdown(['pins' => [
        ['section' => 0, 'bar' => 1, 'at' => 0, 'symbol' => 'A7', 'frets' => [5, 7, 5, 6, 5, 5]],
        ['section' => 0, 'bar' => 0, 'at' => 0, 'symbol' => 'Gm', 'frets' => [3, 5, 5, 3, 3, 3]],
        ['section' => 0, 'bar' => 9, 'at' => 0, 'symbol' => 'Dm', 'frets' => [null, 5, 7, 7, 6, 5]],
    ]]);

    expect(gripsOf($breakdown)[1])->toBe('5 7 5 6 5 5')
        ->and(array_map(static fn (Pin $pin): string => $pin->symbol, Toolbox::of($breakdown)->voiced()->loose))->toBe(['Gm', 'Dm']);
});

it('finds the same grips again from remembered frets', function (): void {
    $breakdown = Examples::breakdown(['sections' => [['name' => 'A', 'line' => '| Dm6 | B♭7 | Gm7 A7 |']], 'company' => 'with-bass']);
    $voiced = Toolbox::of($breakdown)->voiced();
    $frets = array_column($voiced->path->voicings, 'frets');
    $again = Toolbox::of($breakdown)->voicer()->voiceWith($voiced->form, $breakdown->lines[0]->pins, $frets);

    expect($again)->toEqual($voiced);
});

it('lets the root go when a bass player comes', function (): void {
    $alone = Examples::breakdown(['sections' => [['name' => 'A', 'line' => '| C9 | F9 | G13 |']]]);
    $together = Examples::breakdown(['sections' => [['name' => 'A', 'line' => '| C9 | F9 | G13 |']], 'company' => 'with-bass']);
    foreach (Toolbox::of($alone)->voiced()->path->voicings as $voicing) {
        expect($voicing->slash())->toBeNull();
    }
    $line = Toolbox::of($together)->voiced()->path->voicings;
    $rootless = array_filter($line, static fn (Voicing $voicing): bool => ! in_array('R', $voicing->degrees(), true));

    expect($rootless)->not->toBeEmpty();
});

it('takes the first groove of a new meter and keeps its own in the old one', function (): void {
    $breakdown = Examples::breakdown(['band' => ['groove' => 'shuffle', 'parts' => []]]);

    $groove = static fn (string $meter): ?Groove => (new PatternChanger())->meter($breakdown, Meter::parse($meter))->parts[0]->groove;

    expect($groove('3/4')?->meter->text())->toBe('3/4')->and($groove('4/4')?->slug)->toBe('shuffle');
});

it('refuses what no breakdown is', function (callable $build, string $class): void {
    expect($build)->toThrow($class);
})->with([
    'a key that is none' => [
        static fn () => (new Transposer())->transpose(Examples::breakdown(), Key::parse('X')),
        Gravik\Harmony\Failure\KeyNotReadable::class,
    ],
    'a groove in another meter' => [
        static fn () => Examples::breakdown()->with(parts: array_map(
            static fn (BandPart $part): BandPart => $part->groove === null ? $part : $part->with(groove: Groove::named('slipway-waltz')),
            Examples::breakdown()->parts,
        )),
        BreakdownNotValid::class,
    ],
    'a section without a name' => [static fn () => new Section('a', ' ', 'Dm'), Gravik\Chart\ChartException::class],
    'an unknown groove' => [static fn () => Groove::named('polka'), BandException::class],
    'a level past full' => [
        static fn () => new BandPart('b', Instrument::Bass, 1.2, groove: Groove::named('shuffle')),
        BandException::class,
    ],
    'a title of a page' => [
        static fn () => (new Gravik\Formats\BreakdownJson())->read(Examples::document(['title' => str_repeat('a', 121)])),
        Gravik\Formats\DocumentNotReadable::class,
    ],
]);

it('says itself what a title needs', function (): void {
    expect((new TitleOutOfRange())->getMessage())->toContain('1 to 120 characters');
});

it('moves the capo without a pinned grip sounding any other, and lets go of what lies below it', function (int $capo): void {
    $breakdown = Examples::breakdown(['capo' => 2, 'pins' => [
        ['section' => 0, 'bar' => 0, 'at' => 0, 'symbol' => 'Dm', 'frets' => [null, null, 5, 5, 4, 3]],
        ['section' => 0, 'bar' => 1, 'at' => 0, 'symbol' => 'A7', 'frets' => [null, 5, 7, 5, 7, 5]],
    ]]);
    $sounding = static fn (Breakdown $of): array => array_map(
        static fn (Pin $pin): array => array_map(
            static fn (?int $fret, int $open): ?int => $fret === null ? null : $fret + $open,
            $pin->frets,
            $of->neck->openMidi(),
        ),
        $of->lines[0]->pins,
    );
    $moved = (new CapoMover())->move($breakdown, $capo);
    $pins = $sounding($breakdown);

    expect($moved->breakdown->neck->capo)->toBe($capo)
        ->and($sounding($moved->breakdown))->toBe($capo <= 5 ? $pins : ($capo <= 7 ? [$pins[1]] : []))
        ->and(count($moved->breakdown->lines[0]->pins) + count($moved->dropped))->toBe(2);
})->with([0, 1, 5, 6, 7, 8, 12]);

it('tells which strings the grips of the tune sound', function (): void {
    $path = ['strings' => '4-1'] + Examples::document()['path'];
    $upper = Toolbox::of(Examples::breakdown(['company' => 'with-bass', 'path' => $path]))->voiced();
    $sounding = array_map(
        static fn (Voicing $voicing): array => array_keys(array_filter(
            array_reverse($voicing->frets),
            static fn (?int $fret): bool => $fret !== null,
        )),
        $upper->path->voicings,
    );

    expect($upper->stringsUsed())
        ->toEqualCanonicalizing(array_map(static fn (int $place): int => $place + 1, array_values(array_unique(array_merge(...$sounding)))))
        ->and(max($upper->stringsUsed()))->toBeLessThanOrEqual(4);
});

it('takes a section out, and what was held to the later ones goes along', function (): void {
    $sections = [['name' => 'A', 'line' => '| Dm |'], ['name' => 'B', 'line' => '| G7 |'], ['name' => 'C', 'line' => '| A7 |']];
    $pin = static fn (int $section, string $symbol): array => [
        'section' => $section,
        'bar' => 0,
        'at' => 0,
        'symbol' => $symbol,
        'frets' => [null, 5, 7, 6, 8, null],
    ];
    $approach = static fn (int $section, string $symbol): array => [
        'section' => $section,
        'bar' => 0,
        'at' => 0,
        'symbol' => $symbol,
        'kind' => 'walk-up',
        'steps' => 2,
        'slotTicks' => 480,
    ];
    $left = (new SectionRemover())->remove(Examples::breakdown([
        'sections' => $sections,
        'pins' => [$pin(0, 'Dm'), $pin(1, 'G7'), $pin(2, 'A7')],
        'approaches' => [$approach(1, 'G7'), $approach(2, 'A7')],
    ]), 's2');

    expect(array_map(
        static fn ($each): array => [$each->at->section, $each->symbol],
        $left->lines[0]->pins,
    ))->toBe([['s1', 'Dm'], ['s3', 'A7']])
        ->and(array_map(static fn ($each): array => [$each->at->section, $each->symbol], $left->placed))->toBe([['s3', 'A7']])
        ->and(array_map(static fn ($each): string => $each->section, $left->form))->toBe(['s1', 's3'])
        ->and(array_map(static fn ($section): string => $section->name, $left->sections))->toBe(['A', 'C'])
        ->and(fn () => (new SectionRemover())->remove(Examples::breakdown(), 's1'))
        ->toThrow(Gravik\Breakdown\BreakdownNotValid::class, 'only section')
        ->and(fn () => (new SectionRemover())->remove($left, 's5'))->toThrow(Gravik\Breakdown\BreakdownNotValid::class, 'no section "s5"');
});

it('retunes to fewer strings where the path named strings, and leaves grips that can stay', function (): void {
    $wishes = [
        'window' => '0-15',
        'strings' => '6,4,3,2,1',
        'keepTop' => false,
        'bass' => 'free',
        'parallel' => false,
        'weights' => ['shift' => 2, 'fingers' => 0.3, 'top' => 0.15, 'rank' => 1],
    ];
    $four = (new Retuner())->retune(Examples::breakdown(['path' => $wishes]), Tuning::parse('tenor'));
    $five = Examples::breakdown([
        'key' => 'A major',
        'sections' => [['name' => 'A', 'line' => '| A5 |']],
        'pins' => [['section' => 0, 'bar' => 0, 'at' => 0, 'symbol' => 'A5', 'frets' => [null, 0, 2, null, null, null]]],
    ]);

    expect($four->lines[0]->wishes->strings)->toBe('4,3,2,1')->and($four->lines[0]->pins[0]->frets)->toHaveCount(4)
        ->and((new Retuner())->retune($five, Tuning::parse('open-d'))->lines[0]->pins[0]->frets)->toBe([null, 0, 2, null, null, null]);
});

it('has gates that let something through and not everything', function (string $figure, float $least, float $most, float $tooLittle, float $tooMuch): void {
    foreach ([$least, $most] as $value) {
        expect((new Gate(...[$figure => $value]))->{$figure})->toBe($value);
    }
    foreach ([$tooLittle, $tooMuch, NAN] as $value) {
        expect(fn () => new Gate(...[$figure => $value]))->toThrow(BreakdownNotValid::class);
    }
})->with([
    ['biasMs', 0.1, 200.0, 0.0, 200.1], ['spreadMs', 0.1, 200.0, 0.0, 200.1], ['swingPoints', 0.1, 30.0, 0.0, 30.1], [
        'missedShare',
        0.0,
        1.0,
        -0.01,
        1.01,
    ],
]);

it('calls far what the bias of its gate would not let through', function (float $ms, bool $far): void {
    expect((new Gate())->isFarOff($ms))->toBe($far);
})->with([[0.0, false], [14.9, false], [-14.9, false], [15.0, true], [-15.0, true]]);
