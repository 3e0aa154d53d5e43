<?php

declare(strict_types=1);

namespace Gravik\Chart;

/** How the teacher comes to one chord of the form. It holds while that place still has that chord. */
final readonly class Approach
{
    public const MOST_STEPS = 8;

    public const SHORTEST_SLOT = 240;

    public const LONGEST_SLOT = 3840;

    /**
     * @param int $at        of the target, ticks from its bar line
     * @param int $steps     grips before the target, 1 to 8
     * @param int $slotTicks from one grip to the next
     */
    public function __construct(public int $section, public int $bar, public int $at, public string $symbol, public ApproachKind $kind, public int $steps, public int $slotTicks)
    {
        if ($steps < 1 || $steps > self::MOST_STEPS) {
            throw ChartNotReadable::approachSteps($steps, self::MOST_STEPS);
        }
        if ($slotTicks < self::SHORTEST_SLOT || $slotTicks > self::LONGEST_SLOT) {
            throw ChartNotReadable::approachSlot($slotTicks);
        }
    }

    /** The same approach in the same bar of a section that is another by number. */
    public function inSection(int $section): self
    {
        return new self($section, $this->bar, $this->at, $this->symbol, $this->kind, $this->steps, $this->slotTicks);
    }

    /** The same approach to the chord of another name in that place. */
    public function to(string $symbol): self
    {
        return new self($this->section, $this->bar, $this->at, $symbol, $this->kind, $this->steps, $this->slotTicks);
    }

    public function belongsTo(FormChord $chord): bool
    {
        return $this->section === $chord->section && $this->bar === $chord->bar && $this->at === $chord->at && $this->symbol === $chord->chord->text();
    }
}
