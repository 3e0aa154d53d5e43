<?php

declare(strict_types=1);

use Gravik\Formats\WavFile;
use Gravik\Formats\WavSource;
use Gravik\Harmony\Key;
use Gravik\Listening\Failure\NoMelodyHeard;
use Gravik\Listening\Hearing\MelodyListener;
use Gravik\Listening\Hearing\SungNote;
use Gravik\Listening\Tapped\SungMelody;
use Gravik\Time\Meter;
use Gravik\Time\Tempo;

/**
 * One voice with vibrato that slides a little into every note; a hum goes on from note to note, a syllable sets in anew.
 *
 * @param list<array{float, float, int}> $notes     second, length and MIDI number of each
 * @param list<float>                    $harmonics levels
 *
 * @return list<SungNote>
 */
function hummed(array $notes, array $harmonics, float $cents = 0.0, bool $breaks = false): array
{
    $rate = 16000;
    $samples = array_fill(0, (int) ((end($notes)[0] + end($notes)[1] + 0.3) * $rate), 0.0);
    mt_srand(4);
    $phase = 0.0;
    foreach ($notes as [$t, $seconds, $midi]) {
        for ($i = 0, $last = (int) ($seconds * $rate); $i < $last; $i++) {
            $at = $i / $rate;
            $bent = $midi + $cents / 100 - 0.6 * exp(-$at / 0.02) + 0.15 * sin(2 * M_PI * 5.5 * $at);
            $phase += 440 * 2 ** (($bent - 69) / 12) / $rate;
            $loud = $breaks ? min(1.0, $at / 0.03, max(0.0, ($seconds - $at - 0.04) / 0.03)) : min(1.0, 0.6 + $at / 0.1);
            foreach ($harmonics as $number => $level) {
                $samples[(int) ($t * $rate) + $i] += 0.2 * $level * $loud * sin(2 * M_PI * ($number + 1) * $phase);
            }
            $samples[(int) ($t * $rate) + $i] += 0.002 * (mt_rand() / mt_getrandmax() - 0.5);
        }
    }
    $file = tempnam(sys_get_temp_dir(), 'hum');
    file_put_contents($file, WavFile::write([$samples], count($samples), $rate));
    try {
        return (new MelodyListener())->hear(WavSource::open($file));
    } finally {
        unlink($file);
    }
}

it('hears the notes of one voice, whoever sings and however flat', function (
    array $harmonics,
    int $higher,
    float $cents,
    bool $breaks,
): void {
    $tune = [[0.5, 0.5, 50], [1.0, 0.5, 53], [1.5, 0.25, 57], [1.75, 0.25, 55], [2.0, 1.0, 53], [3.0, 0.5, 53 - 12 + 7], [3.5, 0.5, 50]];
    $tune = array_map(static fn (array $note): array => [$note[0], $note[1], $note[2] + $higher], $tune);
    $heard = hummed($tune, $harmonics, $cents, $breaks);

    expect(array_map(static fn (SungNote $note): int => $note->midi, $heard))->toBe(array_column($tune, 2));
    foreach ($heard as $number => $note) {
        expect(abs($note->t - $tune[$number][0]))->toBeLessThan(0.07);
    }
})->with([
    'a low hum' => [[1.0, 0.5, 0.2], 0, 0.0, false],
    'a voice whose octave is louder than its ground, on syllables' => [[0.5, 1.0, 0.6, 0.3], 5, 0.0, true],
    'a whistle' => [[1.0], 31, 0.0, true],
    'a third of a half step flat' => [[1.0, 0.4], 0, -33.0, false],
]);

it('hears a note that is sung twice as two, where a syllable sets in', function (): void {
    $heard = hummed([[0.5, 0.5, 57], [1.0, 0.5, 57], [1.5, 0.5, 55]], [1.0, 0.5], 0.0, true);

    expect(array_map(static fn (SungNote $note): int => $note->midi, $heard))->toBe([57, 57, 55]);
});

it('types a melody bar by bar, at the middle of the neck', function (): void {
    $notes = [new SungNote(1.0, 0.5, 46), new SungNote(1.5, 0.5, 50), new SungNote(2.95, 0.5, 53), new SungNote(7.0, 1.0, 46)];

    expect(SungMelody::typed($notes, Meter::parse('4/4'), new Tempo(120), 1.0, Key::parse('B♭ major')))->toBe('B♭3 D4 | F4 | F4 | B♭3');
});

it('says that there is no melody in a noise', function (): void {
    mt_srand(2);
    $noise = array_map(static fn (): float => 0.3 * (mt_rand() / mt_getrandmax() - 0.5), range(1, 16000));
    $file = tempnam(sys_get_temp_dir(), 'noise');
    file_put_contents($file, WavFile::write([$noise], 16000, 16000));
    try {
        (new MelodyListener())->hear(WavSource::open($file));
    } finally {
        unlink($file);
    }
})->throws(NoMelodyHeard::class);
