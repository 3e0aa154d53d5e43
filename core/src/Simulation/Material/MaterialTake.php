<?php

declare(strict_types=1);

namespace Gravik\Simulation\Material;

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Formats\WavFile;
use Gravik\Performance\Event;
use Gravik\Performance\EventKind;
use Gravik\Performance\Performer;
use Gravik\Performance\PlayedStroke;
use Gravik\Simulation\SimulatedTake;

/** A take of strokes sounded in one way and recorded in one place: what the ear is measured by that never met the simulator. */
final readonly class MaterialTake
{
    private const CHOKE = 0.015;

    private const LET_GO = 0.05;

    private const TAIL = 0.6;

    /** Two takes of a string are never the same: so many of each are made. */
    private const VARIANTS = 3;

    /** @param float $lightDb how far strokes without an accent lie below those with one */
    public function __construct(
        private Way $way,
        private Place $place,
        private int $seed,
        private float $lightDb = 0.0,
        private int $rate = 22050,
    ) {}

    /**
     * @param list<PlayedStroke> $strokes in order of time, from bar 1 beat 1
     * @param float              $beat    seconds a beat takes
     * @param list<PlayedStroke> $beside  of another guitar, where one plays
     *
     * @return string a WAV file whose bar 1 beat 1 lies at SimulatedTake::LEAD
     */
    public function wav(array $strokes, float $beat, array $beside = []): string
    {
        $samples = $this->mixed($strokes);
        $seconds = count($samples) / $this->rate;
        $beats = range(SimulatedTake::LEAD, max(SimulatedTake::LEAD, $seconds - 0.1), $beat);
        $others = $beside === [] ? [] : $this->mixed($beside);
        $recorded = (new Recorded($this->rate))->at($this->place, $samples, $this->seed, $beats, $others);
        $peak = max([1e-9, ...array_map(abs(...), $recorded)]);

        return WavFile::write([array_map(static fn (float $value): float => 0.8 * $value / $peak, $recorded)], count($recorded), $this->rate);
    }

    /**
     * @param list<PlayedStroke> $strokes
     *
     * @return list<float>
     */
    private function mixed(array $strokes): array
    {
        $shifted = array_map(static fn (PlayedStroke $stroke): PlayedStroke => $stroke->shifted(SimulatedTake::LEAD), $strokes);
        $seconds = max([1.0, ...array_map(static fn (PlayedStroke $stroke): float => max([$stroke->t, ...$stroke->ends]), $shifted)]) + self::TAIL;
        $mixed = array_fill(0, (int) ($seconds * $this->rate), 0.0);
        $voices = new Voices($this->rate);
        $sounds = [];
        foreach ((new Performer())->strings($shifted, new BandPart('guitar', Instrument::Guitar, 1.0), $seconds) as $number => $event) {
            $variant = ($number * 7 + $this->seed) % self::VARIANTS;
            $up = $event->direction?->value === 'up';
            $key = "{$event->pitch} {$event->string} {$event->kind->value} {$variant}".($up ? ' up' : '');
            $sounds[$key] ??= $event->pitch === null
                ? $voices->dead($this->way, 45 + 5 * (6 - ($event->string ?? 3)), $up, $this->seed + $variant)
                : $voices->ring($this->way, $event->pitch, $event->kind === EventKind::PalmMute, $up, 3.0, $this->seed + $variant);
            $this->add($mixed, $sounds[$key], $event, $this->gain($shifted, $event));
        }

        return array_values($mixed);
    }

    /** @param list<PlayedStroke> $strokes */
    private function gain(array $strokes, Event $event): float
    {
        foreach ($strokes as $stroke) {
            if ($stroke->tick === $event->tick) {
                return $stroke->stroke->accent > 1 ? 1.0 : 10 ** (-$this->lightDb / 20);
            }
        }

        return 1.0;
    }

    /**
     * @param array<int, float> $mixed
     * @param list<float>       $sound
     */
    private function add(array &$mixed, array $sound, Event $event, float $gain): void
    {
        $at = (int) round($event->t * $this->rate);
        $held = (int) round($event->dur * $this->rate);
        $fade = (int) (($event->kind === EventKind::Ring ? self::LET_GO : self::CHOKE) * $this->rate);
        $level = 0.3 * $gain * $event->velocity;
        for ($i = 0, $last = min(count($sound), $held + $fade, count($mixed) - $at); $i < $last; $i++) {
            $mixed[$at + $i] += $level * $sound[$i] * ($i < $held ? 1.0 : exp(-5 * ($i - $held) / $fade));
        }
    }
}
