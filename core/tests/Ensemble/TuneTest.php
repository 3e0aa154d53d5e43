<?php

declare(strict_types=1);

use Gravik\Band\BandNote;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Change\PartSetter;
use Gravik\Breakdown\Change\PassRemover;
use Gravik\Formats\BreakdownJson;
use Gravik\Formats\Failure\MidiInAnotherMeter;
use Gravik\Formats\Failure\MidiTrackUnknown;
use Gravik\Formats\MidiFile;
use Gravik\Formats\MidiTune;
use Gravik\Performance\Event;
use Gravik\Performance\EventKind;
use Gravik\Performance\Performer;
use Gravik\Tests\Support\Examples;
use Gravik\Time\Meter;

/** Off-beats, a third of a beat, a sixteenth: tick, length, division, pitch, velocity. */
const EBB = [
    [0, 480, 1, 67, 100], [480, 480, 2, 69, 90], [1280, 320, 3, 71, 80], [2640, 240, 4, 72, 110], [3840, 1920, 1, 76, 100],
    [7200, 480, 2, 64, 70],
];

/**
 * @param array<string, string>      $roles  of parts in every pass
 * @param list<string>               $passes in which the tune is played, of two; none for all
 * @param list<array<string, mixed>> $more
 */
function tuneSong(array $roles = [], array $passes = [], array $more = [], float $ratio = 2, array $notes = EBB): Breakdown
{
    $tune = ['name' => 'Ebb', 'notes' => $notes] + ($passes === [] ? [] : ['passes' => $passes]);
    $parts = [Examples::part('keys'), Examples::part('lead', ['tune' => $tune, 'plays' => 'bowed']), ...$more];

    return bandSong(more: $parts, fields: [
        'start' => ['key' => 'C major', 'meter' => '4/4', 'tempo' => 120, 'feel' => Examples::swing($ratio)],
        'passes' => [['id' => '1', 'name' => '', 'notes' => '', 'cells' => []], ['id' => '2', 'name' => '', 'notes' => '', 'cells' => []]],
        'cells' => array_map(
            static fn (string $id, string $role): array => ['part' => $id, 'role' => $role],
            array_keys($roles),
            $roles,
        ),
    ]);
}

/** @return list<Event> */
function tunePlayedBy(Breakdown $song, string $part): array
{
    return array_values(array_filter(
        (new Performer())->perform($song)->events,
        static fn (Event $event): bool => $event->part->id === $part,
    ));
}

/** @return list<array{int, ?int}> */
function tickAndPitch(Event ...$events): array
{
    return array_map(static fn (Event $event): array => [$event->tick, $event->pitch], array_values($events));
}

it('plays the tune from the first bar of every pass it is played in, as the feel has it', function (): void {
    $once = tunePlayedBy(tuneSong(passes: ['2']), 'lead');
    $bars = 4 * 3840;

    expect(tickAndPitch(...$once))->toBe(array_map(static fn (array $note): array => [$bars + $note[0], $note[3]], EBB))
        ->and(array_map(static fn (Event $event): float => round($event->t - 8.0, 6), $once))
        ->toBe([0.0, 0.333333, 0.666667, 1.416667, 2.0, 3.833333])
        ->and($once[0]->kind)->toBe(EventKind::Bow)
        ->and(count(tunePlayedBy(tuneSong(), 'lead')))->toBe(2 * count(EBB))
        ->and(tunePlayedBy(tuneSong(['lead' => 'out']), 'lead'))->toBe([]);
});

it('ends with its pass', function (): void {
    $long = tunePlayedBy(tuneSong(passes: ['1'], notes: [[14400, 9600, 1, 60, 90], [20000, 480, 1, 62, 90]]), 'lead');

    expect(tickAndPitch(...$long))->toBe([[14400, 60]])->and(round($long[0]->dur, 6))->toBe(0.5);
});

it('is doubled in the octave of who doubles it', function (string $part, int $octaves): void {
    $doubled = tickAndPitch(...tunePlayedBy(tuneSong([$part => 'doubles'], ['1']), $part));
    sort($doubled);

    expect($doubled)->toBe(array_map(static fn (array $note): array => [$note[0], $note[3] + 12 * $octaves], EBB));
})->with(['keys' => ['keys', 0], 'bass' => ['bass', -3]]);

it('is doubled by the guitar on strings and frets that sound it', function (): void {
    $doubled = tunePlayedBy(tuneSong(['guitar' => 'doubles'], ['1']), 'guitar');
    $open = tuneSong()->neck->openMidi();
    $shifts = [];
    foreach ($doubled as $place => $event) {
        expect($event->tick)->toBe(EBB[$place][0])
            ->and($event->pitch)->toBe($open[6 - (int) $event->string] + (int) $event->fret);
        $bar = intdiv($event->tick, 3840);
        $shifts[$bar][] = (int) $event->pitch - EBB[$place][3];
    }

    expect(count($doubled))->toBe(count(EBB));
    foreach ($shifts as $bar) {
        expect(count(array_unique($bar)))->toBe(1)->and($bar[0] % 12)->toBe(0);
    }
});

it('falls silent where it is doubled and nobody plays it', function (): void {
    expect(tunePlayedBy(tuneSong(['lead' => 'out', 'keys' => 'doubles', 'guitar' => 'doubles']), 'keys'))->toBe([]);
});

it('is read from a MIDI file as it was written, straight or swung', function (float $ratio): void {
    $song = tuneSong(passes: ['1'], ratio: $ratio);
    $midi = (new MidiFile())->write($song, (new Performer())->perform($song));
    $lead = array_key_last(MidiTune::read($midi, '', Meter::parse('4/4'), $ratio > 1)->tracks);
    $read = MidiTune::read($midi, 'Ebb', Meter::parse('4/4'), $ratio > 1, $lead);

    $again = tuneSong(passes: ['1'], ratio: $ratio);
    $again = $again->with(parts: array_map(
        static fn ($part) => $part->id === 'lead' ? $part->playing($read->tune->in(['1'])) : $part,
        $again->parts,
    ));
    $sounds = static fn (Breakdown $song): array => array_map(
        static fn (Event $event): array => [round($event->t, 2), $event->pitch, round($event->dur, 2)],
        tunePlayedBy($song, 'lead'),
    );

    expect($sounds($again))->toBe($sounds($song))
        ->and($read->tune->notes[1])->toEqual(new BandNote(480, 960, 2, 69, $read->tune->notes[1]->loudness));
})->with([1.0, 2.0]);

it('takes the track that is most a melody where none is named', function (): void {
    $song = tuneSong();
    $midi = (new MidiFile())->write($song, (new Performer())->perform($song));
    $chosen = MidiTune::read($midi, '', Meter::parse('4/4'), true);

    expect($chosen->tracks[$chosen->track])->toBe(['notes' => 2 * count(EBB), 'lowest' => 64, 'highest' => 76]);
});

it('refuses a file in another meter, and a track without notes', function (string $meter, ?int $track, string $failure): void {
    $song = tuneSong();
    $midi = (new MidiFile())->write($song, (new Performer())->perform($song));

    expect(fn () => MidiTune::read($midi, '', Meter::parse($meter), true, $track))->toThrow($failure);
})->with([['3/4', null, MidiInAnotherMeter::class], ['4/4', 99, MidiTrackUnknown::class]]);

it('cannot be built wrong', function (array $notes, string $failure): void {
    expect(fn () => tuneSong(notes: $notes))->toThrow(Gravik\CoreException::class, $failure);
})->with([
    'no notes' => [[], 'has 1 to 4000 notes'],
    'out of order' => [[[960, 480, 1, 60, 90], [0, 480, 1, 60, 90]], 'note 2'],
    'four numbers' => [[[0, 480, 1, 60]], 'five numbers'],
    'beyond MIDI' => [[[0, 480, 1, 128, 90]], 'note 1'],
]);

it('belongs to a lead, to passes that are there, and goes with the only one it is played in', function (): void {
    $song = tuneSong(passes: ['2']);
    $left = (new PassRemover())->remove($song, '2');
    $keys = (new BreakdownJson())->write($song);
    $keys['parts'][3]['tune'] = $keys['parts'][4]['tune'];
    $keys['parts'][3]['instrument'] = 'keys';

    expect(array_column($left->parts, 'tune', 'id')['lead'])->toBeNull()
        ->and(fn () => (new BreakdownJson())->read($keys))->toThrow(Gravik\CoreException::class, 'only the lead can')
        ->and(fn () => tuneSong(passes: ['9']))->toThrow(Gravik\CoreException::class, 'none of the passes');
});

it('has a figure played in unison by several, each in the octave of its part', function (): void {
    $stroke = static fn (int $at, int $string, int $fret): array => ['at' => $at, 'division' => 1, 'action' => 'pick', 'direction' => null,
        'by' => 'pick', 'strings' => [$string], 'articulation' => 'ring', 'accent' => 2, 'length' => null, 'stoppedBy' => null,
        'ends' => [],
        'offsetMs' => 0, 'ornament' => null, 'chord' => 'this', 'fixed' => [], 'notes' => [['string' => $string, 'fret' => $fret]]];
    // Over Dm7: root and fifth; over G7 the same degrees.
    $figure = ['id' => 'f1', 'name' => 'hail', 'meter' => '4/4', 'relativeTo' => 'chord', 'over' => 'Dm7', 'key' => 'C major',
        'ticks' => 3840,
        'streams' => [['name' => 'line', 'strokes' => [$stroke(0, 4, 0), $stroke(1920, 3, 2)]]]];
    $song = tuneSong(['guitar' => 'active'], notes: [[0, 480, 1, 72, 90]], passes: ['2']);
    $json = ['figures' => [$figure], 'placed' => [['what' => 'f1', 'at' => ['section' => 'a', 'ending' => null, 'bar' => 1, 'tick' => 0],
        'parts' => ['guitar', 'lead', 'bass']]]] + (new BreakdownJson())->write($song);
    $placed = (new BreakdownJson())->read($json);
    $inBar2 = static fn (string $part): array => array_values(array_filter(
        tickAndPitch(...tunePlayedBy($placed, $part)),
        static fn (array $each): bool => $each[0] >= 3840 && $each[0] < 7680,
    ));
    $classes = static fn (array $notes): array => array_map(static fn (array $each): array => [$each[0], $each[1] % 12], $notes);

    expect($inBar2('lead'))->toBe([[3840, 67], [5760, 74]])
        ->and($inBar2('bass'))->toBe([[3840, 31], [5760, 38]])
        ->and($classes($inBar2('guitar')))->toBe([[3840, 7], [5760, 2]])
        ->and((new PartSetter())->remove($placed, 'lead')->played[0]->parts)->toBe(['guitar', 'bass'])
        ->and(fn () => (new BreakdownJson())->read(array_replace_recursive($json, ['placed' => [['parts' => ['nobody']]]])))
        ->toThrow(Gravik\CoreException::class, 'none of the parts');
});
