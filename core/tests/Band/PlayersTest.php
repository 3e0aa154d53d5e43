<?php

declare(strict_types=1);

use Gravik\Band\BandException;
use Gravik\Band\BandNote;
use Gravik\Band\BandPart;
use Gravik\Band\Bassist;
use Gravik\Band\Drum;
use Gravik\Band\Drummer;
use Gravik\Band\Groove;
use Gravik\Band\HornSection;
use Gravik\Band\Instrument;
use Gravik\Band\PartBar;
use Gravik\Band\Role;
use Gravik\Band\Way;
use Gravik\Chart\Course;
use Gravik\Chart\FormEntry;
use Gravik\Chart\Section;
use Gravik\Chart\Setting;
use Gravik\Harmony\Key;
use Gravik\Time\Feel;
use Gravik\Time\Tempo;

function courseOf(string $line, Groove $groove): Course
{
    $song = new Setting(Key::parse('C major'), $groove->meter, new Tempo(120), Feel::straight());

    return Course::of([new Section('a', 'A', $line)], $song, [new FormEntry('a')], ['1']);
}

/** @return list<PartBar> one for each bar */
function throughout(Course $course, Groove $groove): array
{
    return array_fill(0, count($course->bars), new PartBar(Role::Active, $groove));
}

/** @return list<BandNote> */
function bassOver(string $line, string $groove): array
{
    $plays = Groove::named($groove);
    $course = courseOf($line, $plays);

    return (new Bassist(new BandPart('bass', Instrument::Bass, groove: $plays)))->play($course, throughout($course, $plays));
}

/** @return list<int> */
function pitches(array $notes): array
{
    return array_map(static fn (BandNote $note): int => $note->pitch, $notes);
}

it('keeps bass roots between the low E and the E flat above it, and leads on from below', function (string $chord, int $root): void {
    $walk = pitches(bassOver("| {$chord} | F |", 'four-walk'));

    // Root, third, fifth, then a half step under the F, which is 29.
    expect($walk[0])->toBe($root)->and($walk[3])->toBe(28)->and($walk[4])->toBe(29)
        ->and($walk[1] - $root)->toBe(4)->and($walk[2] - $root)->toBe(7);
})->with([['E', 28], ['E♭', 39], ['C', 36], ['G', 31], ['B', 35], ['C/D', 38]]);

it('says the bass note of a slash chord, and gives a chord without a third its fifth', function (): void {
    $walk = pitches(bassOver('| C/G | D5 |', 'four-walk'));

    // Over G: third and fifth of the C chord count from its bass; D5 has no third, so the fifth stands in.
    expect($walk[0])->toBe(31)->and($walk[4])->toBe(38)->and($walk[5])->toBe(45)->and($walk[6])->toBe(45);
});

it('strikes the root where a chord comes within the bar, whatever the groove has there', function (): void {
    // On beat 3 the two-beat bass plays a fifth; a new chord there gets its own root.
    $over = static fn (string $line): array => array_map(
        static fn (BandNote $note): array => [$note->tick, $note->pitch % 12],
        bassOver($line, 'deck-swing'),
    );

    expect($over('| C |'))->toBe([[0, 0], [1920, 7]])->and($over('| C F |'))->toBe([[0, 0], [1920, 5]]);
});

it('holds a bass note to the end of its dashes, and rests where nothing sounds', function (): void {
    $notes = bassOver('| C | N.C. | C |', 'deck-swing');

    expect(array_map(static fn (BandNote $note): array => [$note->tick, $note->until], $notes))
        ->toBe([[0, 960], [1920, 2880], [7680, 8640], [9600, 10560]]);
});

it('keeps the bass on the figure of a section\'s first chord', function (): void {
    $groove = Groove::named('four-walk');
    $course = courseOf('| C | F | N.C. | G7 |', $groove);
    $part = new BandPart('bass', Instrument::Bass, groove: $groove, way: Way::Ostinato);
    $notes = (new Bassist($part))->play($course, throughout($course, $groove));

    // Root, third, fifth and the half step below the root: of C in every bar where something sounds.
    expect(pitches($notes))->toBe([...[36, 40, 43, 35], ...[36, 40, 43, 35], ...[36, 40, 43, 35]]);
});

it('plays every sign of the drums in every bar, at its slot and in three loudnesses', function (string $slug): void {
    $groove = Groove::named($slug);
    $notes = (new Drummer(new BandPart('drums', Instrument::Drums, groove: $groove)))->play(
        courseOf('| C | C |', $groove),
        throughout(courseOf('| C | C |', $groove), $groove),
    );
    $lines = [];
    foreach ($groove->drums as $drum => $signs) {
        $lines[Drum::named($drum)->value] = str_repeat('.', 2 * strlen($signs));
    }
    foreach ($notes as $note) {
        expect($note->tick % $groove->slotTicks())->toBe(0)->and($note->division)->toBe($groove->grid);
        $lines[$note->pitch][intdiv($note->tick, $groove->slotTicks())] = match ($note->loudness) {
            0.2 => 'g', 0.5 => 'x', 0.85 => 'X'
        };
    }

    expect(array_values($lines))->toBe(array_map(static fn (string $signs): string => $signs.$signs, array_values($groove->drums)));
})->with(array_keys(Groove::library()));

it('lets every drum and bass note sound on, and none into the time before it', function (string $groove): void {
    $plays = Groove::named($groove);
    $course = courseOf('| C | F | G7 | C |', $plays);
    foreach ([
        new Drummer(new BandPart('drums', Instrument::Drums, groove: $plays)),
        new Bassist(new BandPart('bass', Instrument::Bass, groove: $plays)),
    ] as $player) {
        foreach ($player->play($course, throughout($course, $plays)) as $note) {
            expect($note->until)->toBeGreaterThan($note->tick)->toBeLessThanOrEqual($course->ticks())
                ->and($note->tick % $plays->slotTicks())->toBe(0);
        }
    }
})->with(['shuffle', 'four-walk', 'slipway-waltz', 'slow-twelve', 'sixteenth-funk']);

it('has parts from silent to full, up to a tenth of a second beside the beat', function (float $level, float $offsetMs, bool $there): void {
    $build = static fn (): BandPart => new BandPart('bass', Instrument::Bass, $level, $offsetMs, groove: Groove::named('shuffle'));
    $there ? expect([$build()->level, $build()->offsetMs])->toBe([$level, $offsetMs]) : expect($build)->toThrow(BandException::class);
})->with([
    [0.0, 0.0, true],
    [1.0, 100.0, true],
    [0.5, -100.0, true],
    [1.01, 0.0, false],
    [-0.01, 0.0, false],
    [1.0, 100.1, false],
    [1.0, -100.1, false],
]);

it('has horns in three voices, or in two that sing the guide tones', function (Way $way, int $voices): void {
    $plays = Groove::named('four-walk');
    $course = courseOf('| Dm7 | G7 | Cmaj7 | A7 |', $plays);
    $notes = (new HornSection(new BandPart('horns', Instrument::Horns, way: $way)))->play($course, throughout($course, $plays));
    $together = array_count_values(array_map(static fn (BandNote $note): int => $note->tick, $notes));
    $overG7 = array_filter($notes, static fn (BandNote $note): bool => intdiv($note->tick, 3840) === 1);

    expect(array_values(array_unique($together)))->toBe([$voices]);
    foreach (array_slice($overG7, 0, 2 * $voices) as $note) {
        // The third and seventh of G7, and its fifth or ninth where there is a third voice.
        expect($note->pitch % 12)->toBeIn($voices === 2 ? [11, 5] : [11, 5, 2, 9]);
    }
})->with([[Way::Stabs, 3], [Way::StabsInTwo, 2]]);
