<?php

declare(strict_types=1);

namespace Gravik\Tests\Support;

use Generator;
use Gravik\Listening\Hearing\AudioSource;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Plain tones, each beginning at its own moment and struck anew a second later, so that the truth needs no guitar. */
final readonly class Tones implements AudioSource
{
    /**
     * @param list<array{0: float, 1: float, 2: float, 3?: float}> $tones Hz, second it begins, second it is struck anew, and how high then (1 for as at first)
     */
    public function __construct(private array $tones, private float $noise = 0.0) {}

    public function rate(): int
    {
        return 16000;
    }

    public function seconds(): float
    {
        return $this->seconds;
    }

    public function blocks(): Generator
    {
        $chance = new Randomizer(new Mt19937(3));
        $samples = [];
        for ($i = 0; $i < 2.2 * $this->rate(); $i++) {
            $t = $i / $this->rate();
            $value = $this->noise * $chance->getInt(-1000, 1000) / 1000;
            foreach ($this->tones as $tone) {
                [$hz, $begins, $again] = $tone;
                $since = $t >= $again ? $t - $again : $t - $begins;
                $value += $since < 0
                    ? 0.0
                    : 0.15 * ($t >= $again ? $tone[3] ?? 1.0 : 1.0) * exp(-$since / 1.2) * sin(2 * M_PI * $hz * $since + ($t >= $again ? 1.9 : 0.0));
            }
            $samples[] = $value;
        }
        yield $samples;
    }
}
