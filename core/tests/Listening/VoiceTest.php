<?php

declare(strict_types=1);

use Gravik\Formats\WavFile;
use Gravik\Formats\WavSource;
use Gravik\Listening\Failure\RecordingSilent;
use Gravik\Listening\Hearing\VoiceListener;
use Gravik\Listening\PlayedOnset;
use Gravik\Listening\Tapped\PatternReader;
use Gravik\Strokes\Written\CountLine;
use Gravik\Time\Meter;
use Gravik\Time\Tempo;

/**
 * "sa sa sa": 60 ms of hiss, then a vowel that comes in within 30 ms: pulses of a voice that glides, through two formants.
 *
 * @param list<float> $beats seconds at which the vowels come in
 *
 * @return list<float>
 */
function syllables(array $beats, int $rate = 16000): array
{
    $samples = array_fill(0, (int) ((max($beats) + 0.6) * $rate), 0.0);
    mt_srand(3);
    foreach ($beats as $number => $beat) {
        for ($i = (int) (($beat - 0.075) * $rate); $i < ($beat - 0.015) * $rate; $i++) {
            $samples[$i] += 0.05 * (mt_rand() / mt_getrandmax() - 0.5);
        }
        $length = min(0.32, ($beats[$number + 1] ?? $beat + 1) - $beat - 0.09);
        $phase = 0.0;
        foreach ([[600, 0.6, 0.97], [1150, 0.4, 0.96]] as [$formant, $level, $width]) {
            [$one, $two] = [0.0, 0.0];
            $turn = 2 * $width * cos(2 * M_PI * $formant / $rate);
            for ($i = 0; $i < $length * $rate; $i++) {
                $phase += (130 + 25 * $i / $rate) / $rate;
                $pulse = fmod($phase, 1.0) < 130 / $rate ? 1.0 : 0.0;
                $now = $pulse + $turn * $one - $width ** 2 * $two;
                [$two, $one] = [$one, $now];
                $in = max(0.0, min(1.0, ($i / $rate + 0.015) / 0.03));
                $out = max(0.0, min(1.0, ($length - $i / $rate) / 0.05));
                $samples[(int) ($beat * $rate) + $i] += 0.08 * $level * $now * $in * $out;
            }
        }
    }

    return $samples;
}

/**
 * @param list<float> $samples
 *
 * @return list<float> seconds
 */
function heardSyllables(array $samples, int $rate = 16000): array
{
    $file = tempnam(sys_get_temp_dir(), 'voice');
    file_put_contents($file, WavFile::write([$samples], count($samples), $rate));
    try {
        return (new VoiceListener())->hear(WavSource::open($file));
    } finally {
        unlink($file);
    }
}

it('hears syllables where their vowels come in, and not their consonants', function (): void {
    $beats = [0.5, 1.0, 1.27, 1.5, 2.0, 2.2, 2.4, 3.0];
    $heard = heardSyllables(syllables($beats));

    expect($heard)->toHaveCount(count($beats));
    foreach ($heard as $number => $t) {
        expect(1000 * abs($t - $beats[$number]))->toBeLessThan(20.0);
    }
});

it('tells straight, swung and triplets apart in what is sung', function (array $shares, float $ratio, string $counted): void {
    $beat = 0.55;
    $beats = [];
    foreach (range(0, 7) as $number) {
        foreach ($number % 2 === 0 ? [0.0] : $shares as $share) {
            $beats[] = 1 + ($number + $share) * $beat;
        }
    }
    $taps = array_map(static fn (float $t): PlayedOnset => new PlayedOnset($t - 1), heardSyllables(syllables($beats)));
    $reading = (new PatternReader(new Tempo(60 / $beat), Meter::parse('4/4')))->read($taps, 2)[0];

    expect($reading->feel->ratio)->toEqualWithDelta($ratio, 0.25)
        ->and(CountLine::write($reading->pattern))->toBe("{$counted} | {$counted}");
})->with([
    'straight' => [[0.0, 0.5], 1.0, '1 2 & 3 4 &'],
    'swung' => [[0.0, 2 / 3], 2.0, '1 2 & 3 4 &'],
    'triplets' => [[0.0, 1 / 3, 2 / 3], 1.0, '1 2 trip let 3 4 trip let'],
]);

it('says that nobody sang', function (): void {
    heardSyllables(array_fill(0, 16000, 0.0));
})->throws(RecordingSilent::class);
