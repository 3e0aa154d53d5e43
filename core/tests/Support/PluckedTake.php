<?php

declare(strict_types=1);

namespace Gravik\Tests\Support;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Takes of a guitar made in other ways than the simulated player's, with their truth: strings as delay lines, as sums of
 * partials, or by frequency modulation; through bodies, pickups, rooms, noise, a click, clipping and level changes.
 */
final class PluckedTake
{
    /** @var list<float> */
    public array $samples = [];

    private Randomizer $chance;

    private const OPEN = [40, 45, 50, 55, 59, 64];

    /** @param 'delay'|'partials'|'modulated' $method */
    public function __construct(
        private readonly string $method,
        public readonly int $rate,
        private readonly int $seed,
        private readonly float $attackMs = 0.5,
    ) {
        $this->chance = new Randomizer(new Mt19937($seed));
    }

    /**
     * @param list<array{t: float, frets: list<?int>, up: bool, sweepMs: float, dead: bool, level: float, seconds: float}> $strokes in order
     *
     * @return list<float> truth: when the first string of each stroke is heard
     */
    public function play(array $strokes, float $seconds): array
    {
        $this->samples = array_fill(0, (int) ($seconds * $this->rate), 0.0);
        $voices = [];
        $truth = [];
        foreach ($strokes as $number => $stroke) {
            $strings = array_keys(array_filter($stroke['frets'], static fn (?int $fret): bool => $fret !== null));
            $strings = $stroke['up'] ? array_reverse($strings) : $strings;
            $step = count($strings) > 1 ? $stroke['sweepMs'] / 1000 / (count($strings) - 1) : 0.0;
            foreach ($strings as $order => $string) {
                $t = $stroke['t'] + $order * $step;
                $voices[] = [
                    'string' => $string,
                    't' => $t,
                    'until' => $t + ($stroke['dead'] ? 0.12 : $stroke['seconds']),
                    'pitch' => self::OPEN[$string] + (int) $stroke['frets'][$string],
                    'dead' => $stroke['dead'],
                    'level' => $stroke['level'] * (0.85 + 0.3 * $this->even()),
                    'number' => $number,
                ];
            }
            $truth[] = $stroke['t'] + ($stroke['dead'] ? 0.0 : 0.1 * $this->attackMs / 1000);
        }
        foreach ($voices as $place => $voice) {
            $until = $voice['until'];
            foreach (array_slice($voices, $place + 1, 24) as $later) {
                if (
                    ($later['string'] === $voice['string'] || ($later['dead'] && $later['number'] !== $voice['number']))
                    && $later['t'] > $voice['t']
                ) {
                    $until = min($until, $later['t']);
                }
            }
            $this->add(
                $voice['dead'] ? $this->knock($voice['pitch']) : $this->note($voice['pitch'], min($until - $voice['t'] + 0.03, 3.0)),
                $voice['t'],
                $until,
                $voice['level'],
            );
            $this->add($this->scrape(), $voice['t'] - 0.004, INF, 0.02 * $voice['level']);
        }

        return $truth;
    }

    /** A room: a few late echoes that die away. */
    public function inRoom(float $wet): self
    {
        foreach ([0.0297, 0.0371, 0.0411, 0.0137, 0.0049] as $delay) {
            $steps = (int) ($delay * $this->rate);
            $out = $this->samples;
            foreach ($out as $i => $_) {
                if ($i >= $steps) {
                    $out[$i] += 0.62 * $out[$i - $steps];
                }
            }
            foreach ($this->samples as $i => $dry) {
                $this->samples[$i] = $dry + $wet * 0.5 * ($out[$i] - $dry);
            }
        }

        return $this;
    }

    /** @param float $share of the loudest sample */
    public function withNoise(float $share): self
    {
        $peak = $this->peak();
        foreach ($this->samples as $i => $value) {
            $this->samples[$i] = $value + $share * $peak * (2 * $this->even() - 1);
        }

        return $this;
    }

    /** A metronome and a bass that bleed in. */
    public function withClick(float $beatSeconds, float $share): self
    {
        $peak = $this->peak();
        $end = count($this->samples) / $this->rate;
        for ($beat = 0; $beat * $beatSeconds < $end - 0.3; $beat++) {
            $at = (int) ($beat * $beatSeconds * $this->rate);
            for ($i = 0; $i < (int) (0.03 * $this->rate); $i++) {
                $this->samples[$at + $i] += $share * $peak * sin(2 * M_PI * 1500 * $i / $this->rate) * exp(-$i / (0.006 * $this->rate));
            }
        }

        return $this;
    }

    public function clippedAt(float $share): self
    {
        $most = $share * $this->peak();
        $this->samples = array_map(static fn (float $value): float => max(-$most, min($most, $value)), $this->samples);

        return $this;
    }

    /** Darker: a body or a pickup that takes the highs away. */
    public function through(float $hz): self
    {
        $share = 1 - exp(-2 * M_PI * $hz / $this->rate);
        $smooth = 0.0;
        foreach ($this->samples as $i => $value) {
            $smooth += $share * ($value - $smooth);
            $this->samples[$i] = $smooth;
        }

        return $this;
    }

    public function normalised(float $to = 0.8): self
    {
        $gain = $to / max(1e-9, $this->peak());
        $this->samples = array_map(static fn (float $value): float => $gain * $value, $this->samples);

        return $this;
    }

    private function peak(): float
    {
        return max(1e-9, max($this->samples), -min($this->samples));
    }

    /** @param list<float> $sound */
    private function add(array $sound, float $t, float $until, float $level): void
    {
        $at = (int) round($t * $this->rate);
        $held = $until === INF ? PHP_INT_MAX : (int) round(($until - $t) * $this->rate);
        $fade = 0.004 * $this->rate;
        foreach ($sound as $i => $value) {
            if ($i > $held + 6 * $fade) {
                break;
            }
            if (isset($this->samples[$at + $i])) {
                $this->samples[$at + $i] += $level * $value * ($i > $held ? exp(-($i - $held) / $fade) : 1.0);
            }
        }
    }

    /** @return list<float> */
    private function note(int $pitch, float $seconds): array
    {
        $hz = 440 * 2 ** (($pitch - 69) / 12);
        $count = (int) ($seconds * $this->rate);
        $out = match ($this->method) {
            'delay' => $this->delayLine($hz, $count),
            'partials' => $this->partials($hz, $count),
            default => $this->modulated($hz, $count),
        };
        $rise = $this->attackMs / 1000 * $this->rate;
        for ($i = 0; $i < min($count, $rise); $i++) {
            $out[$i] *= $i / $rise;
        }

        return $out;
    }

    /** @return list<float> */
    private function delayLine(float $hz, int $count): array
    {
        $period = max(2, (int) round($this->rate / $hz));
        $line = [];
        $smooth = 0.0;
        for ($i = 0; $i < $period; $i++) {
            $smooth += 0.5 * (2 * $this->even() - 1 - $smooth);
            $line[] = $smooth;
        }
        $out = [];
        $before = 0.0;
        for ($i = 0, $place = 0; $i < $count; $i++, $place = ($place + 1) % $period) {
            $out[] = $now = $line[$place];
            $line[$place] = 0.997 * (0.6 * $now + 0.4 * $before);
            $before = $now;
        }

        return $out;
    }

    /** @return list<float> */
    private function partials(float $hz, int $count): array
    {
        $out = array_fill(0, $count, 0.0);
        $position = 0.15 + 0.2 * $this->even();
        for ($n = 1; $n <= 14; $n++) {
            $f = $n * $hz * sqrt(1 + 0.0001 * $n * $n);
            if ($f > 0.45 * $this->rate) {
                break;
            }
            $level = 0.6 * abs(sin(M_PI * $n * $position)) / $n ** 1.1;
            $decay = 1 / ($this->rate * (1.6 / (1 + 0.25 * $n) * (110 / $hz) ** 0.4));
            $turn = 2 * M_PI * $f / $this->rate;
            $phase = 2 * M_PI * $this->even();
            for ($i = 0; $i < $count; $i++) {
                $out[$i] += $level * exp(-$i * $decay) * sin($turn * $i + $phase);
            }
        }

        return $out;
    }

    /** @return list<float> */
    private function modulated(float $hz, int $count): array
    {
        $turn = 2 * M_PI * $hz / $this->rate;
        $out = [];
        for ($i = 0; $i < $count; $i++) {
            $t = $i / $this->rate;
            $out[] = 0.5 * exp(-$t / 0.7) * sin($turn * $i + 3.2 * exp(-$t / 0.12) * sin(2 * $turn * $i) + 1.1 * exp(-$t / 0.05) * sin(7.02 * $turn * $i));
        }

        return $out;
    }

    /** @return list<float> a damped string: noise around its pitch that is gone at once */
    private function knock(int $pitch): array
    {
        $out = [];
        $low = $band = 0.0;
        $width = min(0.8, 2 * M_PI * (800 + 1400 * $this->even() + 8 * $pitch) / $this->rate);
        $decay = (0.012 + 0.01 * $this->even()) * $this->rate;
        for ($i = 0; $i < (int) (0.12 * $this->rate); $i++) {
            $high = (2 * $this->even() - 1) - $low - 0.9 * $band;
            $band += $width * $high;
            $low += $width * $band;
            $out[] = $band * exp(-$i / $decay);
        }
        $peak = max(1e-9, max($out), -min($out));

        return array_map(static fn (float $value): float => 0.4 * $value / $peak, $out);
    }

    /** @return list<float> the pick touching the string before it lets go */
    private function scrape(): array
    {
        return array_map(fn (): float => 2 * $this->even() - 1, range(1, (int) (0.003 * $this->rate)));
    }

    private function even(): float
    {
        return $this->chance->getInt(0, (1 << 30) - 1) / (1 << 30);
    }
}
