<?php

declare(strict_types=1);

namespace Gravik\Listening\Tapped;

use Gravik\Strokes\Pattern;
use Gravik\Strokes\Stroke;
use Gravik\Time\Feel;
use Gravik\Time\Swing;
use Gravik\Time\SwingUnit;

/** One way to hear a tapped rhythm: the pattern, its feel, and how well the taps sit on it. */
final readonly class PatternReading
{
    /**
     * @param float $shiftMs  how late all taps came together, the device included
     * @param float $spreadMs root mean square distance of the taps from their slots, after the shift
     * @param int   $leftOut  taps that found no slot
     * @param float $cost     the less, the likelier: −log of how well it fits, and of how much it assumes
     * @param bool  $isPlain  whether it is written on one grid, however single taps stray
     */
    public function __construct(
        public Pattern $pattern,
        public Feel $feel,
        public float $shiftMs,
        public float $spreadMs,
        public int $leftOut,
        public float $cost,
        public bool $isPlain = false,
    ) {}

    public function withPattern(Pattern $pattern): self
    {
        return new self($pattern, $this->feel, $this->shiftMs, $this->spreadMs, $this->leftOut, $this->cost, $this->isPlain);
    }

    /** Whether a beat and an off-beat of the swing lie side by side anywhere: without one there is no swing to hear. */
    public function hasPair(): bool
    {
        $pair = intdiv($this->pattern->meter->beatTicks(), $this->feel->unit === SwingUnit::Eighth ? 1 : 2);
        $struck = array_map(static fn (Stroke $stroke): int => $stroke->at, $this->pattern->strokes());

        return array_filter(
            $struck,
            fn (int $at): bool => 2 * ($at % $pair) === $pair
                && (in_array($at - intdiv($pair, 2), $struck, true) || in_array(
                    ($at + intdiv($pair, 2)) % $this->pattern->ticks,
                    $struck,
                    true,
                )),
        ) !== [];
    }

    public function words(): string
    {
        $percent = (int) round(100 * Swing::share($this->feel->ratio));
        if ($this->feel->ratio > 1) {
            return sprintf('%s swung at %d %%', $this->feel->unit === SwingUnit::Eighth ? 'eighths' : 'sixteenths', $percent);
        }

        $divisions = array_map(static fn (Stroke $stroke): int => $stroke->division, $this->pattern->strokes());
        $thirds = array_filter($divisions, static fn (int $division): bool => $division % 3 === 0);
        $halves = array_filter($divisions, static fn (int $division): bool => $division % 2 === 0 && $division !== 6);

        return ($this->isPlain ? 'plainly: ' : '').match (true) {
            $thirds !== [] && $halves !== [] => 'straight, with thirds among them',
            $thirds !== [] => max($thirds) === 3 ? 'in thirds' : 'in sixths',
            $halves !== [] => max($halves) === 2 ? 'straight eighths' : 'straight sixteenths',
            default => 'on the beats',
        };
    }
}
