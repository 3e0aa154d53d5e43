<?php

declare(strict_types=1);

namespace Gravik\Listening\Hearing\Internal;

use Gravik\Listening\Hearing\AudioSource;

/**
 * A recording boiled down to one figure a millisecond: the energy of its low, middle and high band; and beside it the
 * signal itself, slowed to a rate that holds what a guitar's spectrum needs.
 *
 * @internal used by StrokeListener
 */
final class Envelopes
{
    public const FRAMES_A_SECOND = 1000;

    private const LOW_HZ = 500.0;

    private const HIGH_HZ = 3000.0;

    private const LOUD = 0.95;

    private const SLOW_LEAST_RATE = 14000;

    private const DEEP_LEAST_RATE = 1900;

    /** @var list<float> mean square of each millisecond below 300 Hz */
    public array $low = [];

    /** @var list<float> between */
    public array $middle = [];

    /** @var list<float> above 2 kHz */
    public array $high = [];

    /** The signal at $slowRate, as 32-bit floats. */
    private string $slow = '';

    public float $slowRate = 0.0;

    /** Its low end at $deepRate, as 32-bit floats: means, which take the highs away. */
    private string $deep = '';

    public float $deepRate = 0.0;

    private ?Series $total = null;

    /** @var ?list<Series> */
    private ?array $bands = null;

    public static function of(AudioSource $source): self
    {
        $self = new self();
        $self->follow($source);

        return $self;
    }

    public function frames(): int
    {
        return count($this->low);
    }

    /** The energy of all bands together. */
    public function total(): Series
    {
        return $this->total ??= new Series(array_map(
            static fn (float $low, float $middle, float $high): float => $low + $middle + $high,
            $this->low,
            $this->middle,
            $this->high,
        ));
    }

    /** @return list<Series> low, middle, high */
    public function bands(): array
    {
        return $this->bands ??= [new Series($this->low), new Series($this->middle), new Series($this->high)];
    }

    /** How loud the loud moments are: amplitude, root mean square over a millisecond. */
    public function loud(): float
    {
        return sqrt($this->total()->quantile(self::LOUD)) + 1e-9;
    }

    /**
     * @param float $from seconds
     *
     * @return list<float> samples at $slowRate; what lies outside the recording is silence
     */
    public function slow(float $from, int $count): array
    {
        return self::samples($this->slow, (int) round($from * $this->slowRate), $count);
    }

    /**
     * @param float $from seconds
     *
     * @return list<float> samples of the low end at $deepRate
     */
    public function deep(float $from, int $count): array
    {
        return self::samples($this->deep, (int) round($from * $this->deepRate), $count);
    }

    /** @return list<float> */
    private static function samples(string $signal, int $at, int $count): array
    {
        $data = substr($signal, 4 * max(0, $at), 4 * max(0, $count + min(0, $at)));
        $missing = 4 * $count - strlen($data);
        if ($missing > 0) {
            $data = $at < 0 ? str_repeat("\0", min($missing, -4 * $at)).$data : $data;
            $data = str_pad($data, 4 * $count, "\0");
        }
        /** @var array<int, float> $values */
        $values = unpack('g*', $data);

        return array_values($values);
    }

    /**
     * Each band is parted by three one-pole filters in a row, so that what rings on below does not drown a new attack
     * above; one pass over all samples, everything in local variables for speed.
     */
    private function follow(AudioSource $source): void
    {
        $rate = $source->rate();
        $high = 1 - exp(-2 * M_PI * min(self::HIGH_HZ, 0.3 * $rate) / $rate);
        $low = 1 - exp(-2 * M_PI * self::LOW_HZ / $rate);
        $every = max(1, intdiv($rate, self::SLOW_LEAST_RATE));
        $this->slowRate = $rate / $every;
        $everySlow = max(1, (int) ($this->slowRate / self::DEEP_LEAST_RATE));
        $this->deepRate = $this->slowRate / $everySlow;
        $deepSum = 0.0;
        $deepCount = 0;
        $frame = 0;
        $frameEnd = $rate / self::FRAMES_A_SECOND;
        $n = 0;
        $frameStart = 0;
        $a1 = $a2 = $a3 = $b1 = $b2 = $b3 = 0.0;
        $lowSum = $middleSum = $highSum = 0.0;
        $slowSum = 0.0;
        $slowCount = 0;
        foreach ($source->blocks() as $block) {
            $slow = [];
            $deep = [];
            foreach ($block as $x) {
                $a1 += $high * ($x - $a1);
                $y = $x - $a1;
                $a2 += $high * ($y - $a2);
                $y -= $a2;
                $a3 += $high * ($y - $a3);
                $y -= $a3;
                $highSum += $y * $y;
                $b1 += $low * ($a1 - $b1);
                $z = $a1 - $b1;
                $b2 += $low * ($z - $b2);
                $z -= $b2;
                $middleSum += $z * $z;
                $b3 += $low * ($b1 - $b3);
                $lowSum += $b3 * $b3;
                $slowSum += $x;
                if (++$slowCount === $every) {
                    $slow[] = $slowSum / $every;
                    $deepSum += $slowSum;
                    if (++$deepCount === $everySlow) {
                        $deep[] = $deepSum / $everySlow / $every;
                        $deepSum = 0.0;
                        $deepCount = 0;
                    }
                    $slowSum = 0.0;
                    $slowCount = 0;
                }
                if (++$n >= $frameEnd) {
                    $length = $n - $frameStart;
                    $this->low[] = $lowSum / $length;
                    $this->middle[] = $middleSum / $length;
                    $this->high[] = $highSum / $length;
                    $lowSum = $middleSum = $highSum = 0.0;
                    $frameStart = $n;
                    $frameEnd = (++$frame + 1) * $rate / self::FRAMES_A_SECOND;
                }
            }
            if ($slow !== []) {
                $this->slow .= pack('g*', ...$slow);
            }
            if ($deep !== []) {
                $this->deep .= pack('g*', ...$deep);
            }
        }
    }
}
