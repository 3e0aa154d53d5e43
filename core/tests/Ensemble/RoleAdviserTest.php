<?php

declare(strict_types=1);

use Gravik\Band\Instrument;
use Gravik\Breakdown\Breakdown;
use Gravik\Ensemble\BandJob;
use Gravik\Ensemble\BandJobs;
use Gravik\Ensemble\BandMember;
use Gravik\Ensemble\ClashKind;
use Gravik\Ensemble\Heard;
use Gravik\Ensemble\RoleAdviser;
use Gravik\Ensemble\RoleSuggestion;
use Gravik\Ensemble\Support;
use Gravik\Performance\Performer;

/** @return list<string> pass, part and role */
function advised(Breakdown $song, Support $support = Support::SmallGroup): array
{
    return array_map(
        static fn (RoleSuggestion $each): string => "{$each->visit->pass} {$each->part->id} {$each->role->value}",
        (new RoleAdviser())->suggest(new Heard($song, (new Performer())->perform($song)), $support),
    );
}

/** @return array<string, mixed> passes with who leads in each */
function ledBy(string ...$leads): array
{
    return ['passes' => array_map(
        static fn (string $lead, int $number): array => [
            'id' => (string) ($number + 1),
            'name' => '',
            'notes' => '',
            'lead' => $lead,
            'cells' => [],
        ],
        $leads,
        array_keys($leads),
    )];
}

it('lets one lead at a time, by the style', function (string $groove, array $roles): void {
    expect(advised(bandSong([], [keysPart()], $groove, ledBy(''))))->toBe($roles);
})->with([
    'four to the bar under keys in swing' => ['four-walk', ['1 guitar four']],
    'the guitar in a Latin feel' => ['lantern-bossa', ['1 keys passive']],
    'guide tones under keys elsewhere' => ['straight-drive', ['1 guitar passive']],
]);

it('hands the chords over from solo to solo, and takes them from who solos', function (): void {
    expect(advised(bandSong([], [keysPart()], 'straight-drive', ledBy('voice', 'clarinet', 'piano', 'guitar'))))
        ->toBe(['1 guitar passive', '2 keys passive', '3 keys out', '4 guitar out']);
});

it('leaves nobody in the way where its roles are taken', function (string $groove): void {
    $song = bandSong([], [keysPart(['register' => [64, 84]])], $groove, ledBy('voice', 'clarinet', ''));
    $heard = new Heard($song, (new Performer())->perform($song));
    $taken = (new RoleAdviser())->take($song, (new RoleAdviser())->suggest($heard));

    expect(ofKind(clashesOf($taken), ClashKind::TwoLead))->toBe([])
        ->and(ofKind(clashesOf($taken), ClashKind::WrongLeader))->toBe([])
        ->and(ofKind(clashesOf($taken), ClashKind::FourOutsideSwing))->toBe([])
        ->and(advised($taken))->toBe([]);
})->with(['four-walk', 'lantern-bossa', 'straight-drive', 'sixteenth-funk']);

it('suggests nothing where one part alone plays chords', function (): void {
    expect(advised(bandSong()))->toBe([]);
});

it('leaves nobody idle in a school band but who solos', function (): void {
    $horns = ['id' => 'horns', 'instrument' => 'horns', 'level' => 0.6, 'offsetMs' => 0, 'straight' => false];
    $song = bandSong(['horns' => 'out', 'bass' => 'out'], [keysPart(), $horns], 'lantern-bossa');

    expect(advised($song))->toBe(['1 keys passive'])
        ->and(advised($song, Support::SchoolBand))->toBe(['1 bass active', '1 keys passive', '1 horns passive'])
        ->and(advised(bandSong([], [keysPart()], 'straight-drive', ledBy('piano')), Support::SchoolBand))->toBe(['1 keys out']);
});

it('shares a tune out in a band: by turns where two play the same, and nobody is idle', function (): void {
    $song = bandSong([], [], 'straight-drive', ledBy('fiddle', 'sax', 'voice', 'fiddle'));
    $heard = new Heard($song, (new Performer())->perform($song));
    $members = array_map(
        static fn (?string $plays, int $id): BandMember => new BandMember($id, $plays === null ? null : Instrument::from($plays)),
        ['guitar', 'guitar', 'bass', 'keys', null, 'horns'],
        range(1, 6),
    );
    $jobs = (new BandJobs())->share($heard, $members);
    $of = static fn (int $member): array => array_map(static fn (array $pass): string => $pass[$member - 1]->words(), array_values($jobs));
    $tasks = static fn (int $member): array => array_filter(array_map(static fn (array $pass): ?string => $pass[$member - 1]->task?->value, $jobs));

    expect($jobs)->toHaveCount(4)
        ->and($of(3))->each->toBe('bass, active')
        ->and(array_map(static fn (string $words): bool => str_starts_with($words, 'guitar'), $of(1)))->toBe([true, false, true, false])
        ->and(array_map(static fn (string $words): bool => str_starts_with($words, 'guitar'), $of(2)))->toBe([false, true, false, true]);
    foreach ($jobs as $pass) {
        // Six people, two of whom play: the other four each do something else.
        $spared = array_filter(array_map(static fn (BandJob $job): ?string => $job->task?->value, $pass));
        expect(array_map(static fn (BandJob $job): string => $job->words(), $pass))->each->not->toBe('')
            ->and(count($spared))->toBe(4)->and(array_unique($spared))->toHaveCount(4);
    }
    // In four passes nobody has the same task twice.
    foreach ([4, 5, 6] as $member) {
        expect(array_unique($tasks($member)))->toHaveCount(4);
    }
});
