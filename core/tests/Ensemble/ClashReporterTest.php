<?php

declare(strict_types=1);

use Gravik\Band\Way;
use Gravik\Breakdown\Breakdown;
use Gravik\Chart\VoicingLine;
use Gravik\Ensemble\Check\GuitarGrips;
use Gravik\Ensemble\Clash;
use Gravik\Ensemble\ClashKind;
use Gravik\Ensemble\ClashReport;
use Gravik\Ensemble\ClashReporter;
use Gravik\Ensemble\Heard;
use Gravik\Ensemble\Mend;
use Gravik\Ensemble\Overlap;
use Gravik\Formats\BreakdownJson;
use Gravik\Formats\PatternJson;
use Gravik\Neck\Company;
use Gravik\Performance\Performer;
use Gravik\Tests\Support\Examples;

/**
 * A song of four bars for guitar, bass, drums and whoever else is asked for, in one pass.
 *
 * @param array<string, string>       $roles part => role
 * @param list<array<string, mixed>>  $more  parts
 * @param array<string, mixed>        $fields of the document
 */
function bandSong(
    array $roles = [],
    array $more = [],
    string $groove = 'four-walk',
    array $fields = [],
    string $strokes = 'x.x.x.x.',
    string $company = 'with-bass',
): Breakdown {
    return (new BreakdownJson())->read($fields + [
        'start' => ['key' => 'C major', 'meter' => '4/4', 'tempo' => 132, 'feel' => Examples::swing(2)],
        'guitar' => ['tuning' => 'standard', 'capo' => 0],
        'sections' => [['id' => 'a', 'name' => 'A', 'line' => '| Dm7 | G7 | C6 | A7 |']],
        'form' => [['section' => 'a', 'times' => 1]],
        'parts' => [
            Examples::part('guitar'),
            Examples::part('drums', ['groove' => $groove]),
            Examples::part('bass', ['groove' => $groove]),
            ...$more,
        ],
        'passes' => [['id' => '1', 'name' => '', 'notes' => '', 'cells' => array_map(
            static fn (string $id, string $role): array => ['part' => $id, 'role' => $role],
            array_keys($roles),
            $roles,
        )]],
        'lines' => [['id' => 'low', 'name' => '', 'company' => $company, 'pins' => []]],
        'figures' => [], 'moves' => [], 'placed' => [], 'cells' => [],
        'patterns' => [
            [
                'id' => 'p1',
                'name' => '',
                'meter' => '4/4',
                'school' => 'all-down',
            ] + (new PatternJson())->write(Examples::pattern($strokes)),
        ],
    ] + Examples::full());
}

/** @return array<string, mixed> */
function keysPart(array $told = []): array
{
    return ['id' => 'keys', 'instrument' => 'keys', 'level' => 0.6, 'offsetMs' => 0, 'straight' => false, ...$told];
}

/** @return array<string, mixed> */
function leadPart(string $plays, float $level = 0.8): array
{
    return ['id' => 'lead', 'instrument' => 'lead', 'level' => $level, 'offsetMs' => 0, 'straight' => false, 'plays' => $plays];
}

/** @param list<?int> $frets of the G7 in bar 2 */
function pinnedSong(array $frets): Breakdown
{
    $at = ['section' => 'a', 'ending' => null, 'bar' => 1, 'tick' => 0];
    $pins = [['at' => $at, 'symbol' => 'G7', 'frets' => $frets]];

    return bandSong(company: 'alone', fields: ['lines' => [['id' => 'low', 'name' => '', 'company' => 'alone', 'pins' => $pins]]]);
}

function clashesOf(Breakdown $song): ClashReport
{
    return (new ClashReporter())->report($song, (new Performer())->perform($song));
}

/** @return list<Clash> */
function ofKind(ClashReport $report, ClashKind $kind): array
{
    return array_values(array_filter($report->clashes, static fn (Clash $clash): bool => $clash->kind === $kind));
}

$songs = [
    'two lead' => [ClashKind::TwoLead, fn () => bandSong([], [keysPart()]), 'both comp actively from bar 1'],
    'nearly alike' => [ClashKind::NearlyAlike, fn () => bandSong([], [keysPart()], strokes: 'x..x..x.'), 'share'],
    'colours' => [
        ClashKind::Colours,
        fn () => bandSong(
            ['guitar' => 'four'],
            [keysPart()],
            fields: ['sections' => [['id' => 'a', 'name' => 'A', 'line' => '| Dm9 | G13 | C69 | A7♭9 |']]],
        ),
        'still plays',
    ],
    'mud' => [ClashKind::Mud, fn () => pinnedSong([3, 2, 0, 0, 0, 1]), 'turns to mud'],
    'the root doubled' => [ClashKind::RootDoubled, fn () => pinnedSong([3, null, 3, 4, null, null]), 'doubles the bass on the root of G7'],
    'one octave' => [ClashKind::SameOctave, fn () => bandSong(['guitar' => 'four'], [keysPart(['register' => [50, 66]])]), 'one octave'],
    'four outside swing' => [
        ClashKind::FourOutsideSwing,
        fn () => bandSong(['guitar' => 'four'], groove: 'sixteenth-funk'),
        'belongs to swing',
    ],
    'the wrong leader' => [
        ClashKind::WrongLeader,
        fn () => bandSong(['guitar' => 'passive'], [keysPart()], 'lantern-bossa'),
        'The keys alone lead',
    ],
    'too loud' => [ClashKind::TooLoud, fn () => bandSong([], [leadPart('plucked', 0.4)]), 'below the soloist'],
    'kicks apart' => [
        ClashKind::KicksApart,
        fn () => bandSong(
            ['guitar' => 'unison'],
            [['id' => 'horns', 'instrument' => 'horns', 'level' => 0.6, 'offsetMs' => 0, 'straight' => false]],
        ),
        'stand alone',
    ],
    'a fill under the singing' => [ClashKind::FillUnderSinging, fn () => bandSong([], [], fields: [
        'sections' => [['id' => 'a', 'name' => 'A', 'line' => '| Dm7 | G7 | C6 | A7 |', 'words' => [['bar' => 1, 'text' => 'the tide']]]],
        'figures' => [['name' => 'gull', 'nickname' => '', 'meter' => '4/4'] + Examples::full()['figures'][0]],
        'placed' => [['what' => 'f1', 'at' => ['section' => 'a', 'ending' => null, 'bar' => 1, 'tick' => 0]]],
    ]), 'under “the tide”'],
    'a melody that nobody plays' => [
        ClashKind::NothingToDouble,
        fn () => bandSong(['keys' => 'doubles'], [keysPart(), leadPart('sung')]),
        'nobody plays one there',
    ],
];

it('finds who is in whose way, and every repair that it offers takes it away', function (
    ClashKind $kind,
    Closure $song,
    string $says,
): void {
    $found = ofKind(clashesOf($song()), $kind);

    expect($found)->not->toBe([])->and($found[0]->text)->toContain($says)->and($found[0]->mends)->not->toBe([]);
    foreach ($found[0]->mends as $mend) {
        $left = array_filter(
            ofKind(clashesOf($mend->after()), $kind),
            static fn (Clash $clash): bool => $clash->parts === $found[0]->parts && array_intersect($clash->bars, $found[0]->bars) !== [],
        );
        expect([$mend->words, array_map(static fn (Clash $clash): string => $clash->text, array_values($left))])->toBe([$mend->words, []]);
    }
})->with($songs);

it('finds nothing in a band in which everybody keeps out of the way, and says what it looked at', function (): void {
    $report = clashesOf(bandSong(['keys' => 'passive'], [keysPart(['register' => [64, 84]]), leadPart('sung', 1.0)], fields: [
        'parts' => [
            ['id' => 'guitar', 'instrument' => 'guitar', 'level' => 0.55, 'offsetMs' => 0, 'straight' => false],
            ['id' => 'drums', 'instrument' => 'drums', 'level' => 0.5, 'offsetMs' => 0, 'straight' => false, 'groove' => 'four-walk'],
            ['id' => 'bass', 'instrument' => 'bass', 'level' => 0.5, 'offsetMs' => 0, 'straight' => false, 'groove' => 'four-walk'],
            keysPart(['register' => [64, 84], 'level' => 0.4]),
            leadPart('sung', 1.0),
        ],
        'lines' => [['id' => 'low', 'name' => '', 'company' => 'with-bass', 'pins' => [], 'wishes' => [
            'window' => '2-9', 'strings' => '4-1', 'keepTop' => false, 'bass' => 'free', 'parallel' => false,
            'weights' => ['shift' => 2, 'fingers' => 0.3, 'top' => 0.15, 'rank' => 1],
        ]]],
    ], strokes: '.x.x.x.x'));

    expect(array_map(static fn (Clash $clash): string => $clash->text, $report->clashes))->toBe([])
        ->and(count($report->looked) + count($report->unlooked))->toBe(count(ClashKind::cases()))
        ->and($report->unlooked)->toHaveKeys(['kicks-apart', 'fill-under-singing']);
});

it('says why it could not look where nobody is there to clash with', function (): void {
    $report = clashesOf(bandSong());

    expect($report->unlooked)->toMatchArray([
        'two-lead' => 'one part alone plays chords',
        'too-loud' => 'nobody leads: add a voice or a soloist to the band',
    ]);
});

it('counts what two rhythms share', function (array $one, array $other, float $share, bool $blur, bool $unison): void {
    $overlap = Overlap::of($one, $other);

    expect($overlap->share)->toEqualWithDelta($share, 1e-9)->and($overlap->isBlur())->toBe($blur)->and($overlap->isUnison())->toBe($unison);
})->with([
    'together' => [[0, 960], [0, 960], 1.0, false, true],
    'interlocking' => [[0, 960], [480, 960, 1440], 0.25, false, false],
    'nearly alike' => [[0, 960, 1920], [0, 960, 2400], 0.5, true, false],
    'at the limit' => [range(0, 66), range(50, 99), 17 / 100, false, false],
    'silence' => [[], [], 0.0, false, false],
]);

it('puts the worst first', function (): void {
    $severities = array_map(
        static fn (Clash $clash): float => $clash->severity,
        clashesOf(bandSong(['guitar' => 'active'], [keysPart(), leadPart('plucked', 0.4)]))->clashes,
    );
    $sorted = $severities;
    rsort($sorted);

    expect(count($severities))->toBeGreaterThan(2)->and($severities)->toBe($sorted);
});

it('lets a second guitar without grips of its own play shells, and changes those it has', function (): void {
    $second = ['id' => 'second-guitar', 'instrument' => 'second-guitar', 'level' => 0.6, 'offsetMs' => 0, 'straight' => false,
        'plays' => 'spread'];
    $mend = static function (Breakdown $song): Mend {
        $heard = new Heard($song, (new Performer())->perform($song));
        $loud = static fn (VoicingLine $line): VoicingLine => $line->with(company: Company::Shell);

        return GuitarGrips::mend($heard, $song->parts[3], 0, 'Shells alone', $loud);
    };
    $free = $mend(bandSong([], [$second]));
    $written = $mend(bandSong([], [$second], fields: ['cells' => [['part' => 'second-guitar', 'line' => 'low']]]));

    expect([$free->words, $free->after()->parts[3]->way])->toBe(['Let the second guitar play shells', Way::Shells])
        ->and([$written->words, $written->after()->lines[0]->company])->toBe(['Shells alone', Company::Shell]);
});

it('mends the bars that are meant and no others', function (): void {
    $passes = array_map(static fn (string $id, string $role): array => ['id' => $id, 'name' => '', 'notes' => '', 'cells' => [
        ['part' => 'keys', 'role' => $role],
    ]], ['1', '2'], ['doubles', 'active']);
    $song = bandSong([], [keysPart(), leadPart('sung')], fields: ['passes' => $passes]);
    $clash = ofKind(clashesOf($song), ClashKind::NothingToDouble)[0];
    $roles = static function (Breakdown $each): array {
        $heard = new Heard($each, (new Performer())->perform($each));
        $keys = array_values(array_filter($each->parts, static fn ($part): bool => $part->id === 'keys'))[0];

        return array_map(static fn (int $bar): string => $heard->role($keys, $bar)->value, range(0, 7));
    };

    expect($clash->bars)->toBe([0, 1, 2, 3])
        ->and($roles($clash->mends[1]->after()))->toBe([...array_fill(0, 4, 'out'), ...array_fill(0, 4, 'active')])
        ->and($roles($clash->mends[0]->after()))->toBe([...array_fill(0, 4, 'passive'), ...array_fill(0, 4, 'active')]);
});

it('weighs kinds of clashes against one another', function () use ($songs): void {
    $weights = [];
    foreach ($songs as [$kind, $song]) {
        $weights[$kind->value] = ofKind(clashesOf($song()), $kind)[0]->severity;
    }
    arsort($weights);

    // Who leads comes first, then who plays what is not there, what cannot be heard, and at last what is only thick.
    expect($weights)->toMatchArray(['two-lead' => 0.8, 'nothing-to-double' => 0.7, 'mud' => 0.55, 'four-outside-swing' => 0.5,
        'colours' => 0.45,
        'wrong-leader' => 0.4, 'root-doubled' => 0.35, 'same-octave' => 0.3]);
});

it('puts what is as bad in the order in which it comes', function (): void {
    $clashes = clashesOf(bandSong(['guitar' => 'active', 'keys' => 'active'], [keysPart(), leadPart('plucked', 0.4)], fields: [
        'sections' => [
            ['id' => 'a', 'name' => 'A', 'line' => '| Dm7 | G7 | C6 | A7 |'],
            ['id' => 'b', 'name' => 'B', 'line' => '| F6 | G7 | C6 | A7 |'],
        ],
        'form' => [['section' => 'a', 'times' => 1], ['section' => 'b', 'times' => 1]],
    ]))->clashes;
    $told = array_map(static fn (Clash $clash): array => [-$clash->severity, $clash->bars[0] ?? 0], $clashes);
    $sorted = $told;
    sort($sorted);

    expect($told)->toBe($sorted)->and(count(array_unique(array_column($told, 0))))->toBeLessThan(count($told));
});

it('hears a tone as strange that the chord has not, though its degree is a plain one', function (array $frets, bool $strange): void {
    $pin = ['at' => ['section' => 'a', 'ending' => null, 'bar' => 0, 'tick' => 0], 'symbol' => 'G7', 'frets' => $frets];
    $song = bandSong(['guitar' => 'four'], [keysPart()], fields: [
        'sections' => [['id' => 'a', 'name' => 'A', 'line' => '| G7 |']],
        'lines' => [['id' => 'low', 'name' => '', 'company' => 'alone', 'pins' => [$pin]]],
    ]);

    expect(ofKind(clashesOf($song), ClashKind::Colours) !== [])->toBe($strange);
})->with([
    'seventh and third' => [[3, null, 3, 4, null, null], false],
    'a major seventh over a dominant' => [[3, null, 4, 4, null, null], true],
    'a minor third over a dominant' => [[3, null, 3, 3, null, null], true],
]);
