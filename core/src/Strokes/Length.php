<?php

declare(strict_types=1);

namespace Gravik\Strokes;

use Gravik\Strokes\Failure\StrokeValueOutOfRange;
use Gravik\Time\Ticks;

/** How long a stroke sounds, which is not where it sits in time: until a place, or a share of its slot. */
final readonly class Length
{
    private function __construct(
        public LengthKind $kind,
        /** Ticks from the stroke, for a length in ticks. */
        public int $ticks = 0,
        /** Share of the time to the next slot of its division, swing included, for a length in shares: above 0, at most 8. */
        public float $share = 0.0,
    ) {}

    public function words(): string
    {
        return match ($this->kind) {
            LengthKind::UntilNext => 'until it is struck again',
            LengthKind::UntilChange => 'until the chord changes',
            LengthKind::InTicks => sprintf('%g quarters', round($this->ticks / Ticks::PER_QUARTER, 3)),
            LengthKind::ShareOfSlot => sprintf('%d %% of its slot', (int) round(100 * $this->share)),
        };
    }

    public static function untilNextStroke(): self
    {
        return new self(LengthKind::UntilNext);
    }

    public static function untilChordChange(): self
    {
        return new self(LengthKind::UntilChange);
    }

    public static function ofTicks(int $ticks): self
    {
        if ($ticks < 1 || $ticks > 100_000) {
            throw new StrokeValueOutOfRange('length', 'in ticks runs from 1 to 100000.');
        }

        return new self(LengthKind::InTicks, ticks: $ticks);
    }

    public static function ofSlot(float $share): self
    {
        if (! ($share > 0 && $share <= 8)) {
            throw new StrokeValueOutOfRange('length', 'as a share of its slot is above 0 and at most 8.');
        }

        return new self(LengthKind::ShareOfSlot, share: $share);
    }
}
