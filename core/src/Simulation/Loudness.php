<?php

declare(strict_types=1);

namespace Gravik\Simulation;

/**
 * How loud a sound is to the ear, by ITU-R BS.1770: two filters (the head's shelf, and little below 38 Hz), mean power over
 * blocks of 0.4 s that overlap by three quarters, silence left out.
 */
final readonly class Loudness
{
    private const BLOCK_SECONDS = 0.4;

    private const OVERLAP = 4;

    private const SILENCE = -70.0;

    /** LU below the mean of all that is no silence; softer blocks are left out. */
    private const SOFTER = 10.0;

    private const OFFSET = -0.691;

    public function __construct(private int $rate) {}

    /**
     * @param list<float> $samples −1 to 1, one channel
     *
     * @return ?float LUFS; null for silence
     */
    public function of(array $samples): ?float
    {
        $weighed = self::filtered(self::filtered($samples, $this->shelf()), $this->highPass());
        $powers = $this->blocks($weighed);
        $heard = array_filter($powers, static fn (float $power): bool => self::lufs($power) > self::SILENCE);
        if ($heard === []) {
            return null;
        }
        $gate = self::lufs(array_sum($heard) / count($heard)) - self::SOFTER;
        $loud = array_filter($heard, static fn (float $power): bool => self::lufs($power) > $gate);

        return $loud === [] ? null : self::lufs(array_sum($loud) / count($loud));
    }

    private static function lufs(float $power): float
    {
        return self::OFFSET + 10 * log10(max(1e-12, $power));
    }

    /**
     * @param list<float> $samples
     *
     * @return list<float> mean power of each block
     */
    private function blocks(array $samples): array
    {
        $step = (int) (self::BLOCK_SECONDS * $this->rate / self::OVERLAP);
        $steps = array_map(
            static fn (array $part): float => array_sum(array_map(static fn (float $sample): float => $sample ** 2, $part)) / $step,
            array_chunk($samples, max(1, $step)),
        );
        $blocks = [];
        for ($first = 0; $first + self::OVERLAP <= count($steps); $first++) {
            $blocks[] = array_sum(array_slice($steps, $first, self::OVERLAP)) / self::OVERLAP;
        }

        return $blocks;
    }

    /**
     * @param list<float>                                   $samples
     * @param array{float, float, float, float, float} $by feed forward b0, b1, b2, feed back a1, a2
     *
     * @return list<float>
     */
    private static function filtered(array $samples, array $by): array
    {
        [$b0, $b1, $b2, $a1, $a2] = $by;
        $x1 = $x2 = $y1 = $y2 = 0.0;
        $out = [];
        foreach ($samples as $x) {
            $y = $b0 * $x + $b1 * $x1 + $b2 * $x2 - $a1 * $y1 - $a2 * $y2;
            [$x2, $x1, $y2, $y1] = [$x1, $x, $y1, $y];
            $out[] = $y;
        }

        return $out;
    }

    /** @return array{float, float, float, float, float} the head's shelf of 4 dB from about 1.7 kHz on, at this rate */
    private function shelf(): array
    {
        [$hz, $gain, $q] = [1681.974450955533, 3.999843853973347, 0.7071752369554196];
        $k = tan(M_PI * $hz / $this->rate);
        $high = 10 ** ($gain / 20);
        $band = $high ** 0.4996667741545416;
        $a0 = 1 + $k / $q + $k * $k;

        return [
            ($high + $band * $k / $q + $k * $k) / $a0,
            2 * ($k * $k - $high) / $a0,
            ($high - $band * $k / $q + $k * $k) / $a0,
            2 * ($k * $k - 1) / $a0,
            (1 - $k / $q + $k * $k) / $a0,
        ];
    }

    /** @return array{float, float, float, float, float} nothing below about 38 Hz, at this rate */
    private function highPass(): array
    {
        [$hz, $q] = [38.13547087602444, 0.5003270373238773];
        $k = tan(M_PI * $hz / $this->rate);
        $a0 = 1 + $k / $q + $k * $k;

        return [1.0, -2.0, 1.0, 2 * ($k * $k - 1) / $a0, (1 - $k / $q + $k * $k) / $a0];
    }
}
