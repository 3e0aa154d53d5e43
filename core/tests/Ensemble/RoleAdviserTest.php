<?php

declare(strict_types=1);

use Gravik\Breakdown\Breakdown;
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
