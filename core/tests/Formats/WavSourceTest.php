<?php

declare(strict_types=1);

use Gravik\Formats\MidiNotReadable;
use Gravik\Formats\TakeFile;
use Gravik\Formats\WavFile;
use Gravik\Formats\WavNotReadable;
use Gravik\Formats\WavSource;
use Gravik\Listening\ListeningException;

/** A WAV file with this format and these bytes of sound, in a folder that goes away by itself. */
function wavFile(
    string $bytes,
    int $kind = 1,
    int $channels = 1,
    int $rate = 8000,
    int $bits = 16,
    ?int $stated = null,
    string $extra = '',
): string {
    $format = pack('vvVVvv', $kind, $channels, $rate, $rate * $channels * intdiv($bits, 8), $channels * intdiv($bits, 8), $bits).$extra;

    return soundFile('RIFF'.pack(
        'V',
        28 + strlen($format) + strlen($bytes),
    ).'WAVE'.'fmt '.pack('V', strlen($format)).$format.'LIST'.pack('V', 4).'note'.'data'.pack('V', $stated ?? strlen($bytes)).$bytes);
}

function soundFile(string $content): string
{
    $path = tempnam(sys_get_temp_dir(), 'gravik-wav-') ?: '';
    file_put_contents($path, $content);
    register_shutdown_function(static fn (): bool => @unlink($path));

    return $path;
}

/** @return list<float> */
function samplesOf(string $path): array
{
    return array_merge([], ...iterator_to_array(WavSource::open($path)->blocks(), false));
}

it('reads every coding as the same sound', function (string $bytes, int $kind, int $bits, string $extra, float $within): void {
    expect(samplesOf(wavFile($bytes, $kind, 1, 44100, $bits, null, $extra)))->toEqualWithDelta([0.0, 0.5, -0.5, -1.0], $within);
})->with([
    '8 bits' => [pack('C*', 128, 192, 64, 0), 1, 8, '', 1e-9],
    '16 bits' => [pack('v*', 0, 16384, 49152, 32768), 1, 16, '', 1e-9],
    '24 bits' => ["\0\0\0\0\0\x40\0\0\xc0\0\0\x80", 1, 24, '', 1e-9],
    '32 bits' => [pack('V*', 0, 0x40000000, 0xC0000000, 0x80000000), 1, 32, '', 1e-9],
    'floats' => [pack('g*', 0, 0.5, -0.5, -1), 3, 32, '', 1e-9],
    'floats under an extensible header' => [
        pack('g*', 0, 0.5, -0.5, -1),
        0xFFFE,
        32,
        pack('vvVv', 22, 32, 4, 3).str_repeat("\0", 14),
        1e-9,
    ],
    'floats under an extensible header that ends with what it is' => [
        pack('g*', 0, 0.5, -0.5, -1),
        0xFFFE,
        32,
        pack('vvVv', 22, 32, 4, 3),
        1e-9,
    ],
]);

it('mixes channels to one, and reads a file that ends early as far as it goes', function (): void {
    $stereo = wavFile(pack('v*', 16384, 0, 0, 16384, 32768, 32768), 1, 2);
    expect(samplesOf($stereo))->toEqualWithDelta([0.25, 0.25, -1.0], 1e-9);

    $short = WavSource::open(wavFile(pack('v*', ...array_fill(0, 4000, 0)), 1, 1, 8000, 16, 32000));
    expect($short->seconds())->toBe(0.5)->and($short->remark())->toBe('The file ends early: 0.5 of 2.0 seconds are there.')
        ->and(WavSource::open($stereo)->remark())->toBeNull();
});

it('reads what is there where a recorder never finished the header', function (int $stated): void {
    $source = WavSource::open(wavFile(pack('v*', ...array_fill(0, 4000, 0)), 1, 1, 8000, 16, $stated));

    expect($source->seconds())->toBe(0.5)->and($source->remark())->toContain('never finished');
})->with([0, 0xFFFFFFFF, 0x7FFFFFFF]);

it('says what is wrong with a file that it cannot read', function (string $path, string $says): void {
    expect(fn () => samplesOf($path))->toThrow(WavNotReadable::class, $says);
})->with([
    'text' => [soundFile('Dear diary, today we rehearsed.'), 'no WAV file: it begins with "Dear dia"'],
    'empty' => [soundFile(''), 'holds no sound'],
    'no sound' => [wavFile(''), 'holds no sound'],
    'cut in its header' => [soundFile('RIFF'.pack('V', 100).'WAVEfmt '), 'holds no sound'],
    'a chunk that lies about its size' => [soundFile('RIFF'.pack('V', 100).'WAVEfmt '.pack('V', 2_000_000_000).'xx'), 'cannot be right'],
    'no channels' => [wavFile('xxxx', 1, 0), 'speaks of 0 channels'],
    'compressed' => [wavFile('xxxx', 85), 'coded in a way'],
    'a rate nobody records at' => [wavFile('xxxx', 1, 1, 4000), '4000 samples a second'],
    'not there' => ['/nowhere/take.wav', 'no file "take.wav"'],
]);

it('goes by what a take is as much as by what it is called', function (string $content, string $name, ?string $refused): void {
    $read = static fn (): TakeFile => TakeFile::read(soundFile($content), $name);
    $refused === null ? expect($read()->strokes)->not->toBeEmpty() : expect($read)->toThrow($refused);
})->with([
    'taps' => ['[0.5, 1.0]', 'take.json', null],
    'taps called a sound' => ['[0.5, 1.0]', 'take.wav', WavNotReadable::class],
    'a sound called taps' => ['RIFF', 'take.json', WavNotReadable::class],
    'taps called MIDI' => ['[0.5, 1.0]', 'take.mid', MidiNotReadable::class],
    'neither' => ['hello', 'take.txt', ListeningException::class],
]);

it('writes a header that says how much sound follows, at which rate', function (): void {
    $file = WavFile::write([[0.0, 0.5], [-1.0, 2.0, 0.25]], 5, 8000);
    $header = unpack('Vriff/x12/vcoding/vchannels/Vrate/Vbytes/vframe/vbits/x4/Vdata', substr($file, 4, 40));

    expect($header)->toBe([
        'riff' => 46, 'coding' => 1, 'channels' => 1, 'rate' => 8000, 'bytes' => 16000, 'frame' => 2, 'bits' => 16, 'data' => 10,
    ])->and(array_values((array) unpack('v*', substr($file, 44))))->toBe([0, 16384, 0x10000 - 32767, 32767, 8192]);
});
