<?php

declare(strict_types=1);

namespace Gravik\Simulation;

/** Drums as samples: a falling tone and a burst of noise in each. */
final readonly class DrumSound
{
    /** General MIDI key => [seconds, tone Hz, fall Hz, tone decay s, noise share, noise decay s, brightness, level] */
    private const VOICES = [
        36 => [0.4, 52, 90, 0.13, 0.08, 0.008, 0.2, 0.95],
        37 => [0.12, 820, 0, 0.018, 0.5, 0.006, 0.8, 0.5],
        38 => [0.3, 190, 20, 0.05, 0.8, 0.075, 0.75, 0.55],
        42 => [0.12, 0, 0, 0.01, 1.0, 0.022, 1.0, 0.3],
        51 => [0.6, 3100, 0, 0.12, 0.45, 0.14, 1.0, 0.22],
        70 => [0.14, 0, 0, 0.01, 1.0, 0.03, 1.0, 0.2],
    ];

    public function __construct(private int $rate) {}

    /** @return list<float> */
    public function of(int $key): array
    {
        [$seconds, $tone, $fall, $toneDecay, $share, $noiseDecay, $bright, $level] = self::VOICES[$key] ?? self::VOICES[42];
        $noise = new Noise($key * 97 + $tone);
        $phase = $smooth = 0.0;
        $out = [];
        $count = (int) ($seconds * $this->rate);
        for ($i = 0; $i < $count; $i++) {
            $t = $i / $this->rate;
            $phase += 2 * M_PI * ($tone + $fall * exp(-$t / 0.02)) / $this->rate;
            $smooth += $bright * ($noise->next() - $smooth);
            $hiss = $bright === 1.0 ? $noise->next() - $smooth : $smooth;
            $out[] = ($tone > 0 ? (1 - 0.5 * $share) * sin($phase) * exp(-$t / $toneDecay) : 0.0) + $share * $hiss * exp(-$t / $noiseDecay);
        }

        return Samples::shaped($out, $level, $this->rate);
    }
}
