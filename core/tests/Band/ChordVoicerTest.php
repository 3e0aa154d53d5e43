<?php

declare(strict_types=1);

use Gravik\Band\BandNote;
use Gravik\Band\BandPart;
use Gravik\Band\ChordVoicer;
use Gravik\Band\Comper;
use Gravik\Band\CompRhythm;
use Gravik\Band\Failure\WayMisplaced;
use Gravik\Band\Groove;
use Gravik\Band\HornSection;
use Gravik\Band\Instrument;
use Gravik\Band\LowIntervals;
use Gravik\Band\PartBar;
use Gravik\Band\Register;
use Gravik\Band\Role;
use Gravik\Band\Style;
use Gravik\Band\Way;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\GuideTones;
use Gravik\Time\Meter;

/** @return list<ChordSymbol> */
function chordsTyped(string $typed): array
{
    return array_map(ChordSymbol::parse(...), explode(' ', $typed));
}

it('knows what tells a chord from others', function (string $chord, array $tones): void {
    expect(GuideTones::of(ChordSymbol::parse($chord)))->toBe($tones);
})->with([['C7', [4, 10]], ['Dm6', [5, 11]], ['Gsus4', [0, 2]], ['F', [9, 0]], ['A5', [9, 4]], ['Bm7♭5', [2, 9]]]);

it('voices chords by the cheapest of all ways', function (string $typed, int $voices): void {
    $voicer = new ChordVoicer(new Register(52, 72), $voices);
    $chords = chordsTyped($typed);
    $least = INF;
    $walk = static function (array $so, float $cost) use (&$walk, &$least, $voicer, $chords): void {
        if (count($so) === count($chords)) {
            $least = min($least, $cost);

            return;
        }
        foreach ($voicer->choices($chords[count($so)]) as $voicing) {
            $walk([...$so, $voicing], $cost + $voicer->cost(end($so) ?: [], $voicing));
        }
    };
    $walk([], 0.0);
    $cost = 0.0;
    $before = [];
    foreach ($voicer->through($chords) as $voicing) {
        [$cost, $before] = [$cost + $voicer->cost($before, $voicing), $voicing];
    }

    expect($cost)->toEqualWithDelta($least, 1e-9);
})->with([['Dm7 G7 Cmaj7 A7', 3], ['A♭6 D♭9 E♭9', 2], ['C7 F9 C7 G7 F9', 4]]);

it('keeps to the register, to clear intervals, and to the guide tones of every chord', function (int $voices): void {
    $chords = chordsTyped('A♭6 B°7 D♭9 E♭7♭9 Fm7 Gsus4 C5 Dm7♭5');
    foreach ((new ChordVoicer(new Register(48, 70), $voices))->through($chords) as $place => $voicing) {
        expect(min($voicing))->toBeGreaterThanOrEqual(48)->and(max($voicing))->toBeLessThanOrEqual(70);
        foreach (GuideTones::of($chords[$place]) as $tone) {
            expect(array_map(static fn (int $midi): int => $midi % 12, $voicing))->toContain($tone);
        }
        foreach (array_slice($voicing, 1) as $upper => $midi) {
            expect(LowIntervals::isMuddy($voicing[$upper], $midi))->toBeFalse();
        }
    }
})->with([2, 3]);

it('plays what its role asks: a rhythm, long guide tones, quarters, nothing', function (Role $role, array $struck, int $voices): void {
    $groove = Groove::named('four-walk');
    $course = courseOf('| Dm7 G7 |', $groove);
    $notes = (new Comper(new BandPart('keys', Instrument::Keys)))->play($course, [new PartBar($role, null)]);
    $at = [];
    foreach ($notes as $note) {
        $at[$note->tick][] = $note->until - $note->tick;
    }

    expect(array_map(static fn (array $lengths): int => $lengths[0], $at))->toBe($struck);
    foreach ($at as $lengths) {
        expect($lengths)->toHaveCount($voices);
    }
})->with([
    'active' => [Role::Active, [0 => 1440, 1440 => 384], 3],
    'passive' => [Role::Passive, [0 => 1920, 1920 => 1920], 2],
    'four' => [Role::Four, [0 => 672, 960 => 672, 1920 => 672, 2880 => 672], 3],
]);

it('lays out, and lets the horns answer every other bar', function (): void {
    $groove = Groove::named('four-walk');
    $course = courseOf('| Dm7 | G7 | C | C |', $groove);
    $out = array_fill(0, 4, new PartBar(Role::Out, null));
    $horns = (new HornSection(new BandPart('horns', Instrument::Horns)))->play($course, array_fill(0, 4, new PartBar(Role::Active, null)));

    expect((new Comper(new BandPart('keys', Instrument::Keys)))->play($course, $out))->toBe([])
        ->and(array_values(array_unique(array_map(static fn (BandNote $note): int => intdiv($note->tick, 3840), $horns))))->toBe([1, 3])
        ->and((new HornSection(new BandPart('horns', Instrument::Horns)))->play($course, $out))->toBe([]);
});

it('has a rhythm of so many slots for every way and meter', function (Way $way): void {
    foreach (Meter::KNOWN as $meter) {
        foreach (range(0, 3) as $bar) {
            foreach (Style::cases() as $style) {
                $rhythm = CompRhythm::of($way, Meter::parse($meter), $bar, $style);
                expect([$meter, strlen($rhythm->signs)])->toBe([$meter, $rhythm->grid * Meter::parse($meter)->beats()])
                    ->and($rhythm->signs)->toMatch('/^[xX.-]+$/');
            }
        }
    }
})->with([Way::Shells, Way::Spread, Way::Upbeats, Way::Stabs]);

it('refuses a way that an instrument has not', function (): void {
    expect(static fn () => new BandPart('keys', Instrument::Keys, way: Way::Walking))
        ->toThrow(
            static fn (WayMisplaced $problem) => expect([$problem->instrument, $problem->way])->toBe([Instrument::Keys, Way::Walking]),
        );
});

it('adds fifth, ninth, thirteenth and eleventh to the guide tones, in that order', function (
    string $chord,
    int $voices,
    array $tones,
): void {
    $sounding = (new ChordVoicer(new Register(48, 84), $voices, 12))->choices(ChordSymbol::parse($chord))[0];
    $has = array_values(array_unique(array_map(static fn (int $midi): int => $midi % 12, $sounding)));
    sort($has);

    expect($has)->toBe($tones);
})->with([['C13', 2, [4, 10]], ['C13', 3, [4, 7, 10]], ['C13', 4, [2, 4, 7, 10]], ['C13', 5, [2, 4, 7, 9, 10]],
    ['Cm11', 5, [2, 3, 5, 7, 10]], ['C', 3, [0, 4, 7]]]);
