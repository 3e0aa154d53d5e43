<?php

declare(strict_types=1);

namespace Gravik\Formats;

/** Samples as a WAV file: one channel, 16 bits. */
final class WavFile
{
    private const BYTES = 2;

    /**
     * @param iterable<list<float>> $blocks −1 to 1; what lies beyond is cut off
     * @param int                   $count  samples in all blocks together
     */
    public static function write(iterable $blocks, int $count, int $rate): string
    {
        $bytes = $count * self::BYTES;
        $file = 'RIFF'.pack('V', 36 + $bytes).'WAVEfmt '.pack(
            'VvvVVvv',
            16,
            1,
            1,
            $rate,
            $rate * self::BYTES,
            self::BYTES,
            8 * self::BYTES,
        ).'data'.pack('V', $bytes);
        foreach ($blocks as $block) {
            foreach (array_chunk($block, 8192) as $chunk) {
                $file .= pack(
                    'v*',
                    ...array_map(static fn (float $value): int => (int) round(32767 * max(-1.0, min(1.0, $value))) & 0xFFFF, $chunk),
                );
            }
        }

        return $file;
    }
}
