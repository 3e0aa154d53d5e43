<?php

declare(strict_types=1);

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\EasedGrip;
use Gravik\Breakdown\EasedGrips;
use Gravik\Breakdown\Toolbox;
use Gravik\Chart\VoicedForm;
use Gravik\Neck\HandProfile;
use Gravik\Tests\Support\Examples;

/** @return array<string, VoicedForm> */
function voicedOf(Breakdown $song): array
{
    return [$song->lines[0]->id => Toolbox::of($song)->voiced()];
}

it('gives a hand grips that it can take, of the same chords, and leaves the others alone', function (string $hand): void {
    $song = Examples::breakdown(['sections' => [['name' => 'A', 'line' => '| F | B♭ | C | Fm |']], 'company' => 'alone']);
    $profile = HandProfile::parse($hand);
    $eased = EasedGrips::of($song, $profile, voicedOf($song));
    [$before, $after] = [Toolbox::of($song)->voiced()->path->voicings, Toolbox::of($eased->song)->voiced()->path->voicings];
    $changed = 0;
    foreach ($after as $place => $grip) {
        $fits = Toolbox::of($song)->finder($profile)->voicing($grip->chord, $grip->frets) !== null && $grip->spanMm <= $profile->reachMm();
        $did = Toolbox::of($song)->finder($profile)->voicing($before[$place]->chord, $before[$place]->frets) !== null && $before[$place]->spanMm <= $profile->reachMm();
        $changed += $did ? 0 : 1;
        expect($fits)->toBeTrue()->and($grip->chord->text())->toBe($before[$place]->chord->text())
            ->and($did ? $grip->frets : null)->toBe($did ? $before[$place]->frets : null);
    }
    expect($changed)->toBe(array_sum(array_map(static fn (EasedGrip $each): int => 1, $eased->grips)))->toBeGreaterThan(0);
})->with(['small,no-barre', 'medium,no-barre,avoid-4']);

it('changes nothing for a hand that can take them all', function (): void {
    $song = Examples::breakdown();
    $eased = EasedGrips::of($song, new HandProfile('large', true), voicedOf($song));

    expect($eased->grips)->toBe([])->and($eased->song->lines[0]->pins)->toEqual($song->lines[0]->pins);
});
