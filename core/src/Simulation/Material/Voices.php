<?php

declare(strict_types=1);

namespace Gravik\Simulation\Material;

use Gravik\Simulation\Noise;
use Gravik\Simulation\Samples;

/** One string, one way of sounding it. */
final readonly class Voices
{
    private const LEVEL = 0.5;

    private const PARTIALS = 14;

    /** Body resonances of the physical string, Hz, and how much of each. */
    private const BODY = [[110.0, 0.5], [220.0, 0.35], [430.0, 0.25]];

    public function __construct(private int $rate) {}

    /**
     * @param int   $pitch   MIDI
     * @param bool  $isShort palm-muted
     * @param bool  $up      an up stroke: brighter, thinner
     * @param float $seconds that are needed
     *
     * @return list<float> about −1 to 1
     */
    public function ring(Way $way, int $pitch, bool $isShort, bool $up, float $seconds, int $seed): array
    {
        $count = (int) (min($seconds, $isShort ? 0.35 : 3.0) * $this->rate);
        $hz = 440 * 2 ** (($pitch - 69) / 12);
        $noise = new Noise(97 * $seed + $pitch);
        $sound = match ($way) {
            Way::Physical => $this->physical($hz, $count, $isShort, $up, $noise),
            Way::Additive => $this->additive($hz, $count, $isShort, $up, $noise),
            Way::Fm => $this->fm($hz, $count, $isShort, $up, $noise),
            Way::Granular => $this->granular($hz, $count, $isShort, $up, $noise),
            Way::Driven => $this->driven($hz, $count, $isShort, $up, $noise),
        };

        return Samples::shaped($sound, self::LEVEL, $this->rate);
    }

    /** @return list<float> a string struck dead: a knock with hardly a pitch */
    public function dead(Way $way, int $pitch, bool $up, int $seed): array
    {
        $noise = new Noise(31 * $seed + $pitch + 7);
        $centre = match ($way) {
            Way::Physical => 900.0,
            Way::Additive => 1500.0,
            Way::Fm => 2400.0,
            Way::Granular => 1900.0,
            Way::Driven => 1200.0,
        } * ($up ? 1.3 : 1.0);
        $fall = match ($way) {
            Way::Physical, Way::Driven => 0.016,
            Way::Additive, Way::Granular => 0.011,
            Way::Fm => 0.008,
        };
        $sound = [];
        $low = $band = 0.0;
        $width = 2 * M_PI * $centre / $this->rate;
        for ($i = 0, $count = (int) (0.09 * $this->rate); $i < $count; $i++) {
            $band += $width * ($noise->next() - $low - 0.9 * $band);
            $low += $width * $band;
            $sound[] = ($band + 0.3 * $low) * exp(-$i / ($fall * $this->rate));
        }

        return Samples::shaped($sound, self::LEVEL, $this->rate);
    }

    /** @return list<float> a delay line excited by a triangular displacement, read by a pickup, through a body */
    private function physical(float $hz, int $count, bool $isShort, bool $up, Noise $noise): array
    {
        $period = max(4, (int) round($this->rate / $hz));
        $pick = max(1, (int) ($period * ($up ? 0.09 : 0.19 + 0.03 * $noise->next())));
        $line = [];
        for ($i = 0; $i < $period; $i++) {
            $line[] = ($i < $pick ? $i / $pick : 1 - ($i - $pick) / ($period - $pick)) - 0.5 + 0.06 * $noise->next();
        }
        $pickup = (int) ($period * 0.27);
        $loss = ($isShort ? 0.93 : 0.9965) ** (1 + $hz / 900);
        $sound = [];
        $before = 0.0;
        for ($i = 0; $i < $count; $i++) {
            $at = $i % $period;
            $here = $line[$at];
            $new = $loss * (0.52 * $here + 0.48 * $before);
            $before = $here;
            $line[$at] = $new;
            $sound[] = $here - $line[($at + $pickup) % $period];
        }

        return $this->body($sound);
    }

    /**
     * @param list<float> $sound
     *
     * @return list<float>
     */
    private function body(array $sound): array
    {
        $out = $sound;
        foreach (self::BODY as [$centre, $share]) {
            $width = 2 * M_PI * $centre / $this->rate;
            $low = $band = 0.0;
            foreach ($sound as $i => $value) {
                $band += $width * ($value - $low - 0.25 * $band);
                $low += $width * $band;
                $out[$i] += $share * $band;
            }
        }

        return array_values($out);
    }

    /** @return list<float> partials of a stiff string, each with its own decay */
    private function additive(float $hz, int $count, bool $isShort, bool $up, Noise $noise): array
    {
        $sound = array_fill(0, $count, 0.0);
        for ($n = 1; $n <= self::PARTIALS; $n++) {
            $partial = $n * $hz * sqrt(1 + 0.00012 * $n * $n);
            if ($partial > 0.45 * $this->rate) {
                break;
            }
            $level = abs(sin(M_PI * $n * ($up ? 0.11 : 0.21))) / $n ** ($up ? 0.8 : 1.25);
            $fall = exp(-($isShort ? 26 + 8 * $n : 1.1 + 0.35 * $n) / $this->rate);
            $turn = 2 * M_PI * $partial / $this->rate;
            [$cos, $sin] = [$fall * cos($turn), $fall * sin($turn)];
            $phase = M_PI * $noise->next();
            [$x, $y] = [$level * cos($phase), $level * sin($phase)];
            for ($i = 0; $i < $count; $i++) {
                $sound[$i] += $y;
                [$x, $y] = [$x * $cos - $y * $sin, $x * $sin + $y * $cos];
            }
        }
        for ($i = 0, $soft = (int) (0.002 * $this->rate); $i < min($soft, $count); $i++) {
            $sound[$i] *= $i / $soft;
        }

        return array_values($sound);
    }

    /** @return list<float> a carrier whose modulation dies away, with a breath of noise at the start */
    private function fm(float $hz, int $count, bool $isShort, bool $up, Noise $noise): array
    {
        $sound = [];
        $index = $up ? 3.4 : 2.2;
        $fall = $isShort ? 16.0 : 1.4 + $hz / 500;
        for ($i = 0; $i < $count; $i++) {
            $t = $i / $this->rate;
            $bright = $index * exp(-$t * ($isShort ? 30 : 5));
            $turn = 2 * M_PI * $hz * $t;
            $sound[] = exp(-$fall * $t) * sin($turn + $bright * sin(2.003 * $turn)) + 0.35 * exp(-$t / 0.004) * $noise->next();
        }

        return $sound;
    }

    /** @return list<float> many short grains of a wave, each a little elsewhere */
    private function granular(float $hz, int $count, bool $isShort, bool $up, Noise $noise): array
    {
        $sound = array_fill(0, $count, 0.0);
        $grain = (int) (0.024 * $this->rate);
        $step = (int) (0.006 * $this->rate);
        for ($at = 0; $at < $count; $at += $step) {
            $level = exp(-$at / $this->rate * ($isShort ? 14 : 1.7));
            $from = $at + (int) (0.3 * $step * $noise->next());
            $off = 1 + 0.0006 * $noise->next();
            for ($i = 0; $i < $grain; $i++) {
                $place = $from + $i;
                if ($place < 0 || $place >= $count) {
                    continue;
                }
                $turn = 2 * M_PI * $hz * $off * $place / $this->rate;
                $window = $at === 0 ? 0.5 + 0.5 * cos(M_PI * $i / $grain) : 0.5 - 0.5 * cos(2 * M_PI * $i / $grain);
                $sound[$place] += $level * $window * (sin($turn) + ($up ? 0.8 : 0.5) * sin(2 * $turn + 0.4) + ($up ? 0.6 : 0.25) * sin(3 * $turn + 1.1)
                    + 0.15 * sin(5 * $turn));
            }
        }

        return array_values($sound);
    }

    /** @return list<float> a string through an amplifier that is turned up: it hardly dies away */
    private function driven(float $hz, int $count, bool $isShort, bool $up, Noise $noise): array
    {
        $clean = $this->physical($hz, $count, $isShort, $up, $noise);
        $peak = max([1e-9, ...array_map(abs(...), array_slice($clean, 0, (int) (0.1 * $this->rate)))]);
        $before = 0.0;
        $sound = [];
        foreach ($clean as $value) {
            $sound[] = $before = 0.6 * tanh(5 * $value / $peak + 0.15) + 0.4 * $before;
        }

        return $sound;
    }
}
