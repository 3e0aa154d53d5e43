<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal;

use Gravik\Formats\Failure\WavCodingUnknown;
use Gravik\Formats\Failure\WavHeaderNotPossible;
use Gravik\Formats\Failure\WavRateOutOfRange;
use Gravik\Formats\WavNotReadable;

/**
 * How the samples of a WAV file are written down: whole numbers of 8, 16, 24 or 32 bits, or floats of 32.
 *
 * @internal used by WavSource
 */
final readonly class WavCoding
{
    public const LOWEST_RATE = 8000;

    public const HIGHEST_RATE = 96000;

    private const WHOLE = 1;

    private const FLOATS = 3;

    private const EXTENSIBLE = 0xFFFE;

    private const MOST_CHANNELS = 16;

    private function __construct(public int $rate, public int $channels, private int $bits, private bool $floats) {}

    /**
     * @param string $bytes of the part that states the format
     *
     * @throws WavNotReadable
     */
    public static function read(string $bytes): self
    {
        if (strlen($bytes) < 16) {
            throw new WavHeaderNotPossible('it ends within its format');
        }
        /** @var array{kind: int, channels: int, rate: int, bits: int} $format */
        $format = unpack('vkind/vchannels/Vrate/Vskip/vblock/vbits', $bytes);
        ['kind' => $kind, 'channels' => $channels, 'rate' => $rate, 'bits' => $bits] = $format;
        if ($kind === self::EXTENSIBLE && strlen($bytes) >= 26) {
            /** @var array{kind: int} $extended */
            $extended = unpack('vkind', substr($bytes, 24, 2));
            $kind = $extended['kind'];
        }
        if (! ($kind === self::WHOLE && in_array($bits, [8, 16, 24, 32], true)) && ! ($kind === self::FLOATS && $bits === 32)) {
            throw new WavCodingUnknown($kind, $bits);
        }
        if ($channels < 1 || $channels > self::MOST_CHANNELS) {
            throw new WavHeaderNotPossible(sprintf('it speaks of %d channels', $channels));
        }
        if ($rate < self::LOWEST_RATE || $rate > self::HIGHEST_RATE) {
            throw new WavRateOutOfRange($rate);
        }

        return new self($rate, $channels, $bits, $kind === self::FLOATS);
    }

    /** Bytes of one moment, all channels. */
    public function frameBytes(): int
    {
        return intdiv($this->bits, 8) * $this->channels;
    }

    /** @return list<int|float> of all channels in turn, about −1 to 1 */
    public function decoded(string $data): array
    {
        $width = intdiv($this->bits, 8);
        $data = substr($data, 0, strlen($data) - strlen($data) % ($width * $this->channels));
        if ($this->floats) {
            /** @var array<int, float> $values */
            $values = unpack('g*', $data);

            return array_map(
                static fn (float $value): float => is_finite($value) ? max(-8.0, min(8.0, $value)) : 0.0,
                array_values($values),
            );
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
}
