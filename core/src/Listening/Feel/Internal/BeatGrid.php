<?php

declare(strict_types=1);

namespace Gravik\Listening\Feel\Internal;

use Gravik\Time\SwingUnit;

/**
 * A way to divide the beat, evenly or leaning.
 *
 * @internal
 */
final readonly class BeatGrid
{
    /** @var non-empty-list<float> where the slots lie in the beat, from 0 up to, but not including, 1 */
    public array $places;

    /**
     * @param int        $division slots a beat
     * @param ?SwingUnit $unit     what leans: the eighths, the sixteenths, or (null) nothing
     * @param float      $share    of its pair at which the second note falls
     */
    public function __construct(public int $division, public ?SwingUnit $unit = null, public float $share = 0.5)
    {
        $this->places = match (true) {
            $unit === SwingUnit::Eighth && $division === 2 => [0.0, $share],
            $unit === SwingUnit::Eighth => [0.0, $share / 2, $share, ($share + 1) / 2],
            $unit === SwingUnit::Sixteenth => [0.0, $share / 2, 0.5, ($share + 1) / 2],
            default => array_map(static fn (int $slot): float => $slot / $division, range(0, $division - 1)),
        };
    }

    /** The pair that swings, in beats; null where nothing may. */
    public function pair(): ?float
    {
        return match ($this->unit) {
            SwingUnit::Eighth => 1.0,
            SwingUnit::Sixteenth => 0.5,
            null => null,
        };
    }

    public function leaning(float $share): self
    {
        return new self($this->division, $this->unit, $share);
    }
}
