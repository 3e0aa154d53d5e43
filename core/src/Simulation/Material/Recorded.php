<?php

declare(strict_types=1);

namespace Gravik\Simulation\Material;

use Gravik\Simulation\Noise;

/** A take as it comes out of its place: the room around it, the phone it was recorded with, what else sounds there. */
final readonly class Recorded
{
    /** Delays of a small room's first reflections, ms, and their shares. */
    private const FIRST = [[11, 0.42], [17, -0.34], [23, 0.3], [37, 0.22], [41, -0.2]];

    /** Combs of the room that rings after them: ms, and how much comes back. */
    private const COMBS = [[29.7, 0.78], [37.1, 0.76], [41.1, 0.74], [43.7, 0.73]];

    private const ROOM = 0.5;

    public function __construct(private int $rate) {}

    /**
     * @param list<float> $sound
     * @param list<float> $beats  seconds at which a metronome bleeds in
     * @param list<float> $beside another guitar that plays in the same room
     *
     * @return list<float>
     */
    public function at(Place $place, array $sound, int $seed, array $beats, array $beside): array
    {
        return match ($place) {
            Place::Dry => $sound,
            Place::Room => $this->room($sound),
            Place::Phone => $this->phone($this->room($sound), $seed),
            Place::Hum => $this->hum($sound, $seed),
            Place::Bleed => $this->bleed($this->room($sound), $beats),
            Place::Beside => $this->beside($this->room($sound), $this->room($beside)),
        };
    }

    /**
     * @param list<float> $sound
     *
     * @return list<float>
     */
    private function room(array $sound): array
    {
        $out = $sound;
        $count = count($sound);
        foreach (self::FIRST as [$ms, $share]) {
            $late = (int) ($ms * $this->rate / 1000);
            for ($i = $late; $i < $count; $i++) {
                $out[$i] += self::ROOM * $share * $sound[$i - $late];
            }
        }
        foreach (self::COMBS as [$ms, $back]) {
            $late = (int) ($ms * $this->rate / 1000);
            $line = array_fill(0, $late, 0.0);
            $dark = 0.0;
            foreach ($sound as $i => $value) {
                $echo = $line[$i % $late];
                $dark = 0.6 * $echo + 0.4 * $dark;
                $line[$i % $late] = $value + $back * $dark;
                $out[$i] += 0.12 * self::ROOM * $echo;
            }
        }

        return array_values($out);
    }

    /**
     * A narrow band, a limiter that works hard, and noise.
     *
     * @param list<float> $sound
     *
     * @return list<float>
     */
    private function phone(array $sound, int $seed): array
    {
        $noise = new Noise($seed);
        $peak = max([1e-9, ...array_map(abs(...), $sound)]);
        $high = exp(-2 * M_PI * 280 / $this->rate);
        $low = exp(-2 * M_PI * 3600 / $this->rate);
        $loud = 0.05;
        $base = $dark = 0.0;
        $out = [];
        foreach ($sound as $value) {
            $base = (1 - $high) * $value / $peak + $high * $base;
            $dark = (1 - $low) * ($value / $peak - $base) + $low * $dark;
            $loud = max(abs($dark), 0.05, $loud * (1 - 3 / $this->rate));
            $out[] = 0.4 * $dark / $loud ** 0.6 + 0.0015 * $noise->next();
        }

        return $out;
    }

    /**
     * @param list<float> $sound
     *
     * @return list<float>
     */
    private function hum(array $sound, int $seed): array
    {
        $noise = new Noise($seed);
        $out = [];
        foreach ($sound as $i => $value) {
            $turn = 2 * M_PI * 50 * $i / $this->rate;
            $out[] = $value + 0.012 * sin($turn) + 0.006 * sin(3 * $turn + 0.7) + 0.003 * sin(7 * $turn) + 0.0012 * $noise->next();
        }

        return $out;
    }

    /**
     * @param list<float> $sound
     * @param list<float> $beats
     *
     * @return list<float>
     */
    private function bleed(array $sound, array $beats): array
    {
        foreach ($beats as $beat) {
            $from = (int) ($beat * $this->rate);
            for ($i = 0, $count = (int) (0.03 * $this->rate); $i < $count && isset($sound[$from + $i]); $i++) {
                $sound[$from + $i] += 0.03 * sin(2 * M_PI * 1760 * $i / $this->rate) * exp(-$i / (0.006 * $this->rate));
            }
        }

        return $sound;
    }

    /**
     * @param list<float> $sound
     * @param list<float> $other
     *
     * @return list<float>
     */
    private function beside(array $sound, array $other): array
    {
        $share = 10 ** (-15 / 20);
        foreach ($sound as $i => $value) {
            $sound[$i] = $value + $share * ($other[$i] ?? 0.0);
        }

        return $sound;
    }
}
