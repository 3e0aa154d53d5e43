<?php

declare(strict_types=1);

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Change\PatternChanger;
use Gravik\Breakdown\Change\Transposer;
use Gravik\Breakdown\Desk;
use Gravik\Breakdown\Toolbox;
use Gravik\Chart\LinkedPins;
use Gravik\Chart\Pin;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Neck\Finder\GripMover;
use Gravik\Neck\Finder\VoicingFinder;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\Neck;
use Gravik\Neck\Tuning;
use Gravik\Strokes\Shaping\AccentProfile;
use Gravik\Strokes\Shaping\LengthProfile;
use Gravik\Strokes\Stroke;
use Gravik\Tests\Support\Examples;

function line(string $chords, string $key = 'E minor'): Breakdown
{
    return Examples::breakdown(['key' => $key, 'sections' => [['name' => 'A', 'line' => $chords]]]);
}

it('names the chords whose root no open string gives', function (string $chords, int $capo, array $without): void {
    $breakdown = Examples::breakdown(['key' => 'E minor', 'capo' => $capo, 'sections' => [['name' => 'A', 'line' => $chords]]]);
    expect(Toolbox::of($breakdown)->voiced()->withoutOpenRoot($breakdown->neck))->toBe($without);
})->with([
    'low strings' => ['| Em | Am | B7 | C |', 0, ['C']],
    'a bass of its own' => ['| C/E | C/G |', 0, []],
    'above a capo' => ['| D | F♯m | Bm |', 2, ['D']],
]);

it('adds up what the hand travels and what is held over a line', function (): void {
    $path = Toolbox::of(line('| Em | Am | Em | B7 |'))->voiced()->path;
    $frets = $held = 0;
    foreach ($path->moves as $place => $move) {
        $frets += abs($path->voicings[$place + 1]->position - $path->voicings[$place]->position);
        $held += count(array_filter(
            array_keys($path->voicings[$place]->frets),
            static fn (int $string): bool => $path->voicings[$place]->frets[$string] !== null
                && $path->voicings[$place]->frets[$string] === $path->voicings[$place + 1]->frets[$string],
        ));
    }

    expect($path->fretsTravelled())->toBe($frets)->and($path->notesHeld())->toBe($held);
});

it('gives the chords of one bar of the form, and none beyond it', function (int $bar, array $chords): void {
    expect(array_map(static fn (ChordSymbol $chord): string => $chord->text(), line('| Em Am | N.C. | B7 |')->written()->chordsOfBar($bar)))
        ->toBe($chords);
})->with([[0, ['Em', 'Am']], [1, []], [2, ['B7']], [3, []]]);

it('spells what lies between by where it leads', function (string $key, string $chord, int $by, string $expected): void {
    expect((new GripMover(new VoicingFinder(new Neck(Tuning::standard())), Key::parse($key)))->raised(
        ChordSymbol::parse($chord),
        $by,
    )->text())
        ->toBe($expected);
})->with([
    'from above, with a flat' => ['C major', 'C9', 1, 'D♭9'],
    'from below, with a sharp' => ['C major', 'G7', -1, 'F♯7'],
    'in the key, as the key has it' => ['E♭ major', 'C7', 3, 'E♭7'],
    'a bass moves along' => ['C major', 'C/E', 1, 'D♭/F'],
    'nowhere' => ['C major', 'E♭m', 0, 'E♭m'],
]);

it('lays accents and lengths over the pattern of a breakdown and leaves the rest of it', function (): void {
    $plain = Examples::breakdown([], 'x.x.x.x.');
    $profiled = (new PatternChanger())->profile(Desk::of($plain), AccentProfile::BackBeat, LengthProfile::ReleaseAll);

    expect(array_map(
        static fn (Stroke $stroke): array => [$stroke->accent, $stroke->length?->share],
        $profiled->patterns[0]->pattern->strokes(),
    ))
        ->toBe([[1, 0.75], [2, 0.75], [1, 0.75], [2, 0.75]])
        ->and($profiled->withPattern($plain->patterns[0]))->toEqual($plain)
        ->and((new PatternChanger())->profile(Desk::of($plain), null, null))->toEqual($plain);
});

it('carries an approach to another key with its chord', function (): void {
    $moved = (new Transposer())->transpose(Examples::breakdown(['key' => 'C major', 'sections' => [['name' => 'A', 'line' => '| C | G7 |']],
        'path' => [
            'window' => '4-12',
            'strings' => '',
            'keepTop' => false,
            'bass' => 'free',
            'parallel' => false,
            'weights' => ['shift' => 2, 'fingers' => 0.3, 'top' => 0.15, 'rank' => 1],
        ],
        'approaches' => [[
            'section' => 0,
            'bar' => 1,
            'at' => 0,
            'symbol' => 'G7',
            'kind' => 'walk-up',
            'steps' => 2,
            'slotTicks' => 480,
        ]]]), Key::parse('E♭ major'))->breakdown;

    expect($moved->placed[0]->symbol)->toBe('B♭7')
        ->and(Toolbox::of($moved)->approacher()->all($moved->course(), Toolbox::of($moved)->voiced(), $moved->placed))->toHaveCount(1);
});

it('carries a linked grip to chords up to two frets away and no further', function (): void {
    $breakdown = Examples::breakdown(['key' => 'C major', 'sections' => [['name' => 'A', 'line' => '| G7 | A7 | F7 | B♭7 | E7 |']],
        'pins' => [['section' => 0, 'bar' => 0, 'at' => 0, 'symbol' => 'G7', 'frets' => [3, null, 3, 4, 3, null], 'linked' => true]]]);
    $links = LinkedPins::of($breakdown->written(), $breakdown->lines[0]->pins);
    $frets = static fn (string $symbol): ?array => $links->fretsFor(ChordSymbol::parse($symbol));

    expect($frets('A7'))->toBe([5, null, 5, 6, 5, null])->and($frets('F7'))->toBe([1, null, 1, 2, 1, null])
        ->and($frets('B♭7'))->toBeNull()->and($frets('E7'))->toBeNull();
});

it('gives the same song with grips that were kept, and lists the same pins as loose', function (): void {
    $breakdown = Examples::breakdown(['pins' => [
        ['section' => 0, 'bar' => 0, 'at' => 0, 'symbol' => 'Dm', 'frets' => [null, 5, 7, 7, 6, 5]],
        ['section' => 0, 'bar' => 1, 'at' => 0, 'symbol' => 'A9', 'frets' => [null, 0, 2, 4, 2, 3]],
        ['section' => 0, 'bar' => 9, 'at' => 0, 'symbol' => 'A7', 'frets' => [null, 0, 2, 0, 2, 0]],
    ]]);
    $tools = Toolbox::of($breakdown);
    $fresh = $tools->voiced();
    $kept = $tools->voicer()->voiceWith(
        $breakdown->written(),
        $breakdown->lines[0]->pins,
        array_map(static fn (Voicing $voicing): array => $voicing->frets, $fresh->path->voicings),
    );

    expect($kept)->toEqual($fresh)->and(array_map(static fn (Pin $pin): string => $pin->symbol, $fresh->loose))->toBe(['A9', 'A7']);
});

it('names the strings that its grips sound, from the lowest on', function (): void {
    $breakdown = Examples::breakdown(['key' => 'E minor', 'sections' => [['name' => 'A', 'line' => '| Em | Am |']], 'pins' => [
        ['section' => 0, 'bar' => 0, 'at' => 0, 'symbol' => 'Em', 'frets' => [null, null, 2, 0, 0, null]],
        ['section' => 0, 'bar' => 1, 'at' => 0, 'symbol' => 'Am', 'frets' => [null, 0, 2, 2, null, null]],
    ]]);

    expect(Toolbox::of($breakdown)->voiced()->stringsUsed())->toBe([5, 4, 3, 2]);
});
