<?php

declare(strict_types=1);

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Breakdown\Breakdown;
use Gravik\Ensemble\BalanceTest;
use Gravik\Ensemble\Beside;
use Gravik\Ensemble\Clash;
use Gravik\Ensemble\ClashReporter;
use Gravik\Ensemble\Heard;
use Gravik\Ensemble\Mend;
use Gravik\Ensemble\NoteLoudness;
use Gravik\Ensemble\Overlap;
use Gravik\Ensemble\RoleAdviser;
use Gravik\Ensemble\RoleSuggestion;
use Gravik\Ensemble\SharedRange;
use Gravik\Ensemble\Soundings;
use Gravik\Ensemble\Support;
use Gravik\Performance\Event;
use Gravik\Performance\EventKind;
use Gravik\Performance\Performer;
use Gravik\Tests\Support\Frozen;

it('reports, advises and weighs bands as it did', function (): void {
    $horns = ['id' => 'horns', 'instrument' => 'horns', 'level' => 0.6, 'offsetMs' => 0, 'straight' => false];
    $second = ['id' => 'second-guitar', 'instrument' => 'second-guitar', 'level' => 0.5, 'offsetMs' => 0, 'straight' => false];
    $passes = static fn (string ...$leads): array => ['passes' => array_map(
        static fn (string $lead, int $number): array => [
            'id' => (string) $number,
            'name' => '',
            'notes' => '',
            'cells' => [],
            'lead' => $lead,
        ],
        $leads,
        array_keys($leads),
    )];
    $songs = [
        'alone' => bandSong(),
        'keys' => bandSong([], [keysPart()]),
        'keys low' => bandSong(['guitar' => 'four'], [keysPart(['register' => [40, 56], 'plays' => 'spread'])]),
        'six' => bandSong(
            ['horns' => 'unison'],
            [keysPart(), $horns, leadPart('plucked', 0.5), $second],
            fields: $passes('', 'clarinet', 'piano', 'guitar'),
        ),
        'funk' => bandSong(['guitar' => 'passive'], [keysPart(['plays' => 'pads'])], 'sixteenth-funk', fields: $passes('voice', 'sax')),
        'bossa' => bandSong(['keys' => 'out'], [keysPart(), leadPart('sung', 0.9)], 'lantern-bossa', $passes('voice'), 'x..x..x.', 'alone'),
        'straight' => bandSong(['guitar' => 'four', 'bass' => 'out'], [$second], 'straight-drive', strokes: 'xXgcx.x.'),
        'pinned' => pinnedSong([3, 2, 0, 0, 0, 1]),
        ...array_slice(Frozen::documents(50), 0, 4),
    ];
    $figures = array_map(static fn (Breakdown $song): Closure => static function () use ($song): array {
        $timeline = (new Performer())->perform($song);
        $heard = new Heard($song, $timeline);
        $report = (new ClashReporter())->report($song, $timeline);
        $onsets = array_map(
            static fn (float $beat): float => 0.31 + $beat * 60 / 132,
            [0.0, 1.0, 1.67, 2.5, 4.0, 5.0, 6.67, 9.0, 12.0, 13.0, 14.67, 15.0],
        );

        return [
            array_map(static fn (Clash $clash): array => [
                $clash->kind, $clash->text, $clash->severity, $clash->parts, $clash->bars, $clash->ticks,
                array_map(
                    static fn (Mend $mend): array => [$mend->words, ($after = $mend->after())->passes, $after->parts, $after->lines],
                    $clash->mends,
                ),
            ], $report->clashes),
            $report->holds, $report->looked, $report->unlooked,
            array_map(static fn (Support $support): array => array_map(
                static fn (RoleSuggestion $each): array => [$each->part->id, $each->visit->bar, $each->role, $each->why],
                (new RoleAdviser())->suggest($heard, $support)
            ), Support::cases()),
            array_map(
                static fn ($each): array => [$each->part->id, $each->belowDb, $each->over(), $each->covers()],
                Soundings::of($heard)->parts,
            ),
            array_map(static fn (SharedRange $shared): array => [$shared->share, $shared->words()], SharedRange::all($heard)),
            BalanceTest::steps($song->guitar()),
            static fn (): mixed => Beside::of($heard, $onsets), static fn (): mixed => Beside::of($heard, $onsets, 0.31)->bars,
            array_map($heard->slotWords(...), range(0, 3839, 160)), array_map($heard->noteWords(...), [0, 40, 61, 127], [0, 0, 960, 3840]),
        ];
    }, $songs);
    foreach (
        [
            [[0, 480], [0, 480]],
            [[0, 480, 960], [0, 480]],
            [[0], [480]],
            [[], []],
            [[0, 1, 2], [0]],
            [[0, 1, 2, 3, 4], [0, 1]],
        ] as $number => [$one, $other]
    ) {
        $figures["overlap {$number}"] = static fn (): array => [
            Overlap::of($one, $other), Overlap::of($one, $other)->isBlur(), Overlap::of($one, $other)->isUnison(),
        ];
    }
    foreach (EventKind::cases() as $kind) {
        $figures["note {$kind->value}"] = static fn (): array => [NoteLoudness::amplitudeOf($kind), array_map(
            static fn (array $told): float => 1e6 * NoteLoudness::energyOf(
                new Event(new BandPart('p', Instrument::Guitar), 0.0, $told[1], $told[0], $told[2], $kind),
            ),
            [[36, 0.05, 0.5], [57, 0.4, 1.0], [70, 2.0, 0.3], [38, 0.02, 0.9], [null, 0.2, 0.7]],
        )];
    }
    Frozen::hold('ensemble', $figures);
});
