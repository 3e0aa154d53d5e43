<?php

declare(strict_types=1);

use Gravik\Formats\MidiFile;
use Gravik\Performance\Event;
use Gravik\Performance\Performer;
use Gravik\Tests\Support\Examples;

/** Reads a type-1 file by the standard: per track its metas [tick, type, data] and notes [channel, pitch, from, to, velocity] in ticks. */
function readMidi(string $bytes): array
{
    $header = unpack('a4id/Nlength/nformat/ntracks/ndivision', $bytes);
    $tracks = [];
    $at = 14;
    while ($at < strlen($bytes)) {
        $length = unpack('N', substr($bytes, $at + 4, 4))[1];
        $data = substr($bytes, $at + 8, $length);
        $at += 8 + $length;
        $tracks[] = readTrack($data);
    }

    return [$header, $tracks];
}

function readTrack(string $data): array
{
    [$metas, $notes, $open, $tick, $i] = [[], [], [], 0, 0];
    $number = static function () use ($data, &$i): int {
        $value = 0;
        do {
            $byte = ord($data[$i++]);
            $value = ($value << 7) | ($byte & 0x7F);
        } while ($byte >= 0x80);

        return $value;
    };
    while ($i < strlen($data)) {
        $tick += $number();
        $status = ord($data[$i++]);
        if ($status === 0xFF) {
            $type = ord($data[$i++]);
            $length = $number();
            $metas[] = [$tick, $type, substr($data, $i, $length)];
            $i += $length;
        } elseif ($status >> 4 === 0xC) {
            $i++;
        } else {
            [$pitch, $velocity] = [ord($data[$i]), ord($data[$i + 1])];
            $i += 2;
            $voice = ($status & 0xF).':'.$pitch;
            if ($status >> 4 === 0x9) {
                $open[$voice] = [$tick, $velocity];
            } elseif (isset($open[$voice])) {
                $notes[] = [$status & 0xF, $pitch, $open[$voice][0], $tick, $open[$voice][1]];
                unset($open[$voice]);
            }
        }
    }

    return ['metas' => $metas, 'notes' => $notes, 'left open' => $open, 'end' => $tick];
}

it('writes tempo, meter, key, markers and one track a part', function (array $fields, string $slots, int $grid, string $meterBytes, float $bpmInQuarters): void {
    $breakdown = Examples::breakdown($fields, $slots, $grid);
    $timeline = (new Performer())->perform($breakdown);
    [$header, $tracks] = readMidi((new MidiFile())->write($breakdown, $timeline));
    $metas = [];
    foreach ($tracks[0]['metas'] as [$tick, $type, $data]) {
        $metas[$type][] = [$tick, $data];
    }

    expect([$header['id'], $header['length'], $header['format'], $header['tracks'], $header['division']])->toBe(['MThd', 6, 1, 4, 960])
        ->and(bin2hex($metas[0x58][0][1]))->toStartWith($meterBytes)
        ->and(60_000_000 / hexdec(bin2hex($metas[0x51][0][1])))->toEqualWithDelta($bpmInQuarters, 0.001)
        ->and(array_map(
            static fn (array $marker): array => $marker,
            $metas[0x06],
        ))->toBe([[0, 'Dm'], [$breakdown->start->meter->barTicks(), 'A7']])
        ->and(array_map(
            static fn (array $track): string => $track['metas'][0][2],
            $tracks,
        ))->toBe(['Tide Table', 'Drums', 'Bass', 'Guitar'])
        ->and(array_column($tracks, 'left open'))->each->toBe([])
        ->and(array_column($tracks, 'end'))->each->toBeGreaterThanOrEqual(2 * $breakdown->start->meter->barTicks());
})->with([
    'four four' => [['tempo' => 120], 'x.xcx.xx', 2, '0402', 120.0],
    'six eight counts dotted quarters' => [['tempo' => 60, 'meter' => '6/8'], 'x..x.x', 3, '0603', 90.0],
]);

it('has the swing in the ticks, every note within a tick of where it sounds', function (): void {
    $breakdown = Examples::breakdown(['feel' => Examples::swing(2), 'tempo' => 138], 'x.xcx.xg');
    $timeline = (new Performer())->perform($breakdown);
    [, $tracks] = readMidi((new MidiFile())->write($breakdown, $timeline));
    $ticksPerSecond = 960 * 138 / 60;
    foreach (['drums', 'bass', 'guitar'] as $index => $part) {
        $expected = array_map(
            static fn (Event $event): int => (int) round($event->t * $ticksPerSecond),
            array_values(array_filter($timeline->events, static fn (Event $event): bool => $event->part->id === $part)),
        );
        $starts = array_map(static fn (array $note): int => $note[2], $tracks[$index + 1]['notes']);
        sort($expected);
        sort($starts);
        expect($starts)->toBe($expected);
    }
    // The first swung off-beat of the drums' hat lies on two thirds of the beat.
    expect(array_map(static fn (array $note): int => $note[2], $tracks[1]['notes']))->toContain(640);
});

it('puts chucks on a channel of their own, very short', function (): void {
    $breakdown = Examples::breakdown([], 'x.c.....');
    [, $tracks] = readMidi((new MidiFile())->write($breakdown, (new Performer())->perform($breakdown)));
    $chucks = array_values(array_filter($tracks[3]['notes'], static fn (array $note): bool => $note[0] === 2));

    expect($chucks)->not->toBeEmpty();
    foreach ($chucks as [, , $from, $to]) {
        expect($to - $from)->toBeLessThan(120)->and($from)->toBeGreaterThanOrEqual(960);
    }
});

it('names each part an instrument that every reader has: steel guitar, finger bass, muted guitar for chucks', function (): void {
    $breakdown = Examples::breakdown([], 'xcxxxcxx');
    $bytes = (new MidiFile())->write($breakdown, (new Performer())->perform($breakdown));
    foreach (["\xC0\x1A", "\xC1\x20", "\xC2\x1C"] as $programme) {
        expect(str_contains($bytes, "\x00".$programme))->toBeTrue();
    }
});

it('writes how a bar is counted, and lets every note go where it ends', function (): void {
    $breakdown = Examples::breakdown(['tempo' => 120], 'x...c...');
    $timeline = (new Performer())->perform($breakdown);
    [, $tracks] = readMidi((new MidiFile())->write($breakdown, $timeline));
    $meter = array_values(array_filter($tracks[0]['metas'], static fn (array $meta): bool => $meta[1] === 0x58))[0][2];
    $ends = static fn (array $notes): array => array_map(static fn (array $note): array => [$note[2], $note[3]], $notes);
    $expected = array_map(
        static fn (Event $event): array => [(int) round($event->t * 1920), (int) round(($event->t + $event->dur) * 1920)],
        array_values(array_filter($timeline->events, static fn (Event $event): bool => $event->part->id === 'bass')),
    );
    $chucks = array_values(array_filter($tracks[3]['notes'], static fn (array $note): bool => $note[0] === 2));

    expect(bin2hex($meter))->toBe('04021808')->and($ends($tracks[2]['notes']))->toEqualCanonicalizing($expected)
        // A chuck has the pitch that its string would have on the grip.
        ->and(array_column($chucks, 1))->each->toBeGreaterThanOrEqual(40)
        ->and(min(array_column($chucks, 1)))->toBe(min(array_map(
            static fn (Event $event): int => [64, 59, 55, 50, 45, 40][(int) $event->string - 1] + (int) $event->fret,
            array_filter($timeline->events, static fn (Event $event): bool => $event->kind->value === 'chuck'),
        )));
});
