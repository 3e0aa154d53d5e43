<?php

declare(strict_types=1);

namespace Gravik\Formats;

use Gravik\Listening\AudioSource;
use Gravik\Quote;

/**
 * A WAV file as sound: whole numbers of 8, 16, 24 or 32 bits or floats of 32, one or more channels mixed to one. A file
 * that ends before its header says is read as far as it goes.
 */
final readonly class WavSource implements AudioSource
{
    public const LOWEST_RATE = 8000;

    public const HIGHEST_RATE = 96000;

    private const WHOLE = 1;

    private const FLOATS = 3;

    private const EXTENSIBLE = 0xFFFE;

    private const BLOCK_FRAMES = 32768;

    private const MOST_CHANNELS = 16;

    /**
     * @param int $start  byte at which the samples begin
     * @param int $frames how many are there
     * @param int $stated how many the header speaks of
     */
    private function __construct(private string $path, private int $rate, private int $channels, private int $bits, private bool $floats, private int $start, private int $frames, private int $stated) {}

    /** @throws WavNotReadable with what is wrong and what to do */
    public static function open(string $path): self
    {
        $file = is_file($path) ? fopen($path, 'rb') : false;
        if ($file === false) {
            throw WavNotReadable::missing(basename($path));
        }
        try {
            return self::read($file, $path);
        } finally {
            fclose($file);
        }
    }

    public function rate(): int
    {
        return $this->rate;
    }

    public function seconds(): float
    {
        return $this->frames / $this->rate;
    }

    /** What was wrong with the file, where it could be read all the same; null where nothing was. */
    public function remark(): ?string
    {
        return $this->frames >= $this->stated ? null : sprintf('The file ends early: %.1f of %.1f seconds are there.', $this->seconds(), $this->stated / $this->rate);
    }

    public function blocks(): \Generator
    {
        $file = fopen($this->path, 'rb');
        if ($file === false) {
            throw WavNotReadable::missing(basename($this->path));
        }
        try {
            fseek($file, $this->start);
            $bytes = intdiv($this->bits, 8) * $this->channels;
            for ($left = $this->frames; $left > 0; $left -= self::BLOCK_FRAMES) {
                $data = fread($file, max(1, min($left, self::BLOCK_FRAMES) * $bytes));
                if ($data === false || $data === '') {
                    return;
                }
                yield $this->mixed($this->decoded($data));
            }
        } finally {
            fclose($file);
        }
    }

    /** @param resource $file */
    private static function read($file, string $path): self
    {
        $head = (string) fread($file, 12);
        if (strlen($head) < 12 || ! str_starts_with($head, 'RIFF') || substr($head, 8, 4) !== 'WAVE') {
            throw $head === '' ? WavNotReadable::nothing() : WavNotReadable::notWav(Quote::short(self::printable(substr($head, 0, 8))));
        }
        $size = fstat($file)['size'] ?? 0;
        $format = null;
        while (strlen($chunk = (string) fread($file, 8)) === 8) {
            /** @var array{name: string, size: int} $about */
            $about = unpack('a4name/Vsize', $chunk);
            $from = (int) ftell($file);
            if ($about['name'] === 'fmt ') {
                $format = self::format((string) fread($file, max(1, min(64, $about['size']))));
            } elseif ($about['name'] === 'data') {
                return self::withData($path, $format ?? throw WavNotReadable::header('its format comes after its sound'), $from, $about['size'], $size - $from);
            }
            if ($from + $about['size'] > $size || fseek($file, $from + $about['size'] + $about['size'] % 2) !== 0) {
                break;
            }
        }
        throw WavNotReadable::nothing();
    }

    /**
     * @param array{kind: int, channels: int, rate: int, bits: int} $format
     * @param int                                                  $stated bytes that the header speaks of
     * @param int                                                  $there  bytes that are there
     */
    private static function withData(string $path, array $format, int $from, int $stated, int $there): self
    {
        ['kind' => $kind, 'channels' => $channels, 'rate' => $rate, 'bits' => $bits] = $format;
        if (! ($kind === self::WHOLE && in_array($bits, [8, 16, 24, 32], true)) && ! ($kind === self::FLOATS && $bits === 32)) {
            throw WavNotReadable::coding($kind, $bits);
        }
        if ($channels < 1 || $channels > self::MOST_CHANNELS) {
            throw WavNotReadable::header(sprintf('it speaks of %d channels', $channels));
        }
        if ($rate < self::LOWEST_RATE || $rate > self::HIGHEST_RATE) {
            throw WavNotReadable::rate($rate);
        }
        $bytes = intdiv($bits, 8) * $channels;
        $frames = intdiv(min($stated, max(0, $there)), $bytes);

        return $frames === 0 ? throw WavNotReadable::nothing() : new self($path, $rate, $channels, $bits, $kind === self::FLOATS, $from, $frames, intdiv($stated, $bytes));
    }

    /** @return array{kind: int, channels: int, rate: int, bits: int} */
    private static function format(string $bytes): array
    {
        if (strlen($bytes) < 16) {
            throw WavNotReadable::header('it ends within its format');
        }
        /** @var array{kind: int, channels: int, rate: int, bits: int} $format */
        $format = unpack('vkind/vchannels/Vrate/Vskip/vblock/vbits', $bytes);
        if ($format['kind'] === self::EXTENSIBLE && strlen($bytes) >= 26) {
            /** @var array{kind: int} $extended */
            $extended = unpack('vkind', substr($bytes, 24, 2));
            $format['kind'] = $extended['kind'];
        }

        return $format;
    }

    /** @return list<int|float> of all channels in turn, about −1 to 1 */
    private function decoded(string $data): array
    {
        $width = intdiv($this->bits, 8);
        $data = substr($data, 0, strlen($data) - strlen($data) % ($width * $this->channels));
        if ($this->floats) {
            /** @var array<int, float> $values */
            $values = unpack('g*', $data);

            return array_map(static fn (float $value): float => is_finite($value) ? max(-8.0, min(8.0, $value)) : 0.0, array_values($values));
        }
        $out = [];
        if ($width === 3) {
            /** @var array<int, int> $values */
            $values = unpack('C*', $data);
            for ($i = 1, $count = count($values); $i < $count; $i += 3) {
                $value = $values[$i] | $values[$i + 1] << 8 | $values[$i + 2] << 16;
                $out[] = ($value - (($value & 0x800000) << 1)) / 8388608;
            }

            return $out;
        }
        /** @var array<int, int> $values */
        $values = unpack([1 => 'C*', 2 => 'v*', 4 => 'V*'][$width], $data);
        $half = 2 ** ($this->bits - 1);
        $sign = $width === 1 ? 0 : 1;
        foreach ($values as $value) {
            $out[] = ($sign === 0 ? $value - $half : ($value >= $half ? $value - 2 * $half : $value)) / $half;
        }

        return $out;
    }

    /**
     * @param list<int|float> $values
     *
     * @return list<float>
     */
    private function mixed(array $values): array
    {
        if ($this->channels === 1) {
            return array_map(floatval(...), $values);
        }
        $out = [];
        for ($i = 0, $count = count($values); $i < $count; $i += $this->channels) {
            $sum = 0.0;
            for ($channel = 0; $channel < $this->channels; $channel++) {
                $sum += $values[$i + $channel];
            }
            $out[] = $sum / $this->channels;
        }

        return $out;
    }

    private static function printable(string $bytes): string
    {
        return preg_replace('/[^\x20-\x7e]/', '?', $bytes) ?? '';
    }
}
