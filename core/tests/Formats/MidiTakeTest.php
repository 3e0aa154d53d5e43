<?php

declare(strict_types=1);

use Gravik\Formats\MidiFile;
use Gravik\Formats\MidiNotReadable;
use Gravik\Formats\MidiTake;
use Gravik\Performance\Performer;
use Gravik\Performance\PlayedStroke;
use Gravik\Strokes\Direction;
use Gravik\Tests\Support\Examples;

/** A file of one track with the events given, each with its delta before it. */
function midi(string $events, int $format = 0, int $division = 480, ?int $length = null): string
{
    return 'MThd'.pack('Nnnn', 6, $format, 1, $division).'MTrk'.pack('N', $length ?? strlen($events)).$events;
}

it('reads back the strokes of a breakdown written as MIDI', function (): void {
    $breakdown = Examples::breakdown(['feel' => ['mode' => 'fixed', 'ratio' => 2, 'unit' => 'eighth'], 'tempo' => 96]);
    $timeline = (new Performer())->perform($breakdown);
    $take = MidiTake::read((new MidiFile())->write($breakdown, $timeline));

    expect($take->meter?->text())->toBe('4/4')
        ->and(count($take->strokes))->toBe(count($timeline->strokes));
    foreach ($timeline->strokes as $number => $planned) {
        expect($take->strokes[$number]->t)->toEqualWithDelta($planned->t, 0.002)
            ->and($take->strokes[$number]->direction)->toBe($planned->stroke->direction);
    }
    $chucks = array_filter($timeline->strokes, static fn (PlayedStroke $stroke): bool => $stroke->stroke->articulation->value === 'chuck');
    foreach (array_keys($chucks) as $number) {
        expect($take->strokes[$number]->muted)->toBeTrue();
    }
});

it('follows changes of tempo and running status, and tells a falling sweep from a rising one', function (): void {
    // 120, then 60 a minute after two quarters; two three-note sweeps, the second from the top down.
    $events = "\x00\xFF\x51\x03\x07\xA1\x20\x00\x90\x28\x50\x0A\x2D\x50\x0A\x32\x50\x81\x70\x28\x00\x00\x2D\x00\x00\x32\x00\x85\x3C\xFF\x51\x03\x0F\x42\x40\x83\x60\x32\x50\x05\x2D\x50\x05\x28\x50\x60\x80\x28\x40\x00\x2D\x40\x00\x32\x40\x00\xFF\x2F\x00";
    $strokes = MidiTake::read(midi($events))->strokes;

    expect(count($strokes))->toBe(2)
        ->and($strokes[0]->direction)->toBe(Direction::Down)
        ->and($strokes[1]->direction)->toBe(Direction::Up)
        ->and($strokes[1]->t)->toEqualWithDelta(1.0 + 1.0, 0.001);
});

it('says of each bad file what is wrong with it', function (string $bytes, string $says): void {
    expect(fn () => MidiTake::read($bytes))->toThrow(MidiNotReadable::class, $says);
})->with([
    'a text' => ['hello there, no music', 'no MIDI file'],
    'nothing but a name' => ['MThd', 'cut short'],
    'cut short' => [midi("\x00\x90\x28\x50", length: 400), 'cut short in its track 1'],
    'an event cut short' => [midi("\x00\x90\x28"), 'cut short in its track 1'],
    'songs of their own' => [midi("\x00\xFF\x2F\x00", format: 2), 'format 2'],
    'film time' => [midi("\x00\xFF\x2F\x00", division: 0xE250), 'SMPTE'],
    'no length' => [midi("\x00\xFF\x2F\x00", division: 0), 'no length'],
    'no notes' => [midi("\x00\xFF\x2F\x00"), 'no notes'],
    'no MIDI inside' => [midi("\x00\x28\x50\x00"), 'something that is no MIDI'],
]);

it('tells how loud each stroke is against the usual one', function (): void {
    // Three notes a quarter apart, at velocities 40, 80 and 80.
    $strokes = MidiTake::read(midi("\x00\x90\x28\x28\x83\x60\x80\x28\x40\x00\x90\x28\x50\x83\x60\x80\x28\x40\x00\x90\x28\x50\x83\x60\x80\x28\x40\x00\xFF\x2F\x00"))->strokes;

    expect($strokes[0]->levelDb)->toBeLessThan(-3.0)->and([$strokes[1]->levelDb, $strokes[2]->levelDb])->toBe([0.0, 0.0]);
});

it('listens to the track that plays chords, not to the one with more notes', function (): void {
    $note = static fn (int $pitch): string => "\x00\x90".chr($pitch)."\x50";
    $off = static fn (int $pitch, string $after = "\x00"): string => $after."\x80".chr($pitch)."\x00";
    $chords = str_repeat($note(40).$note(45).$note(52).$off(40, "\x83\x60").$off(45).$off(52), 2)."\x00\xFF\x2F\x00";
    $melody = str_repeat($note(64).$off(64, "\x60").$note(67).$off(67, "\x60"), 6)."\x00\xFF\x2F\x00";
    $track = static fn (string $events): string => 'MTrk'.pack('N', strlen($events)).$events;
    $file = 'MThd'.pack('Nnnn', 6, 1, 2, 480).$track($melody).$track($chords);

    expect(array_column(MidiTake::read($file)->strokes, 't'))->toEqualWithDelta([0.0, 0.5], 1e-6)
        ->and(MidiTake::read($file)->strokes[0]->direction)->toBeNull();
});
