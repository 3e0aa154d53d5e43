<?php

declare(strict_types=1);

namespace Gravik\Listening\Lock\Internal;

use Gravik\Performance\HandInUse;
use Gravik\Strokes\Counting;
use Gravik\Time\SwingUnit;

/**
 * Slots as they are counted aloud: "3", "2&", "bar 2, 4&"; where several patterns are played, with the pattern's name.
 *
 * @internal
 */
final readonly class SlotNames
{
    /** @param list<HandInUse> $hands every pattern that is played */
    public function __construct(private array $hands) {}

    public function of(int $slot): string
    {
        $hand = $this->hand($slot);
        $pattern = $hand->plan->pattern;
        $syllables = Counting::syllables($pattern->meter, $pattern->grid());
        $own = $slot - $hand->firstSlot;
        $perBar = count($syllables);
        $inBar = $own % $perBar;
        $grid = intdiv($perBar, $pattern->meter->beats());
        $beat = (string) (intdiv($inBar, $grid) + 1);
        $name = $inBar % $grid === 0 ? $beat : $beat.$syllables[$inBar];
        $name = $pattern->bars() === 1 ? $name : sprintf('bar %d, %s', intdiv($own, $perBar) + 1, $name);

        return count($this->hands) === 1 ? $name : "{$hand->named->name} {$name}";
    }

    public function isOffBeat(int $slot, SwingUnit $unit): bool
    {
        $hand = $this->hand($slot);
        $pattern = $hand->plan->pattern;
        $pair = intdiv($pattern->meter->beatTicks(), $unit === SwingUnit::Eighth ? 1 : 2);

        return 2 * (($slot - $hand->firstSlot) * $pattern->slotTicks() % $pair) === $pair;
    }

    /** After how many slots a bar comes again; all of them where bars differ. */
    public function slotsInBar(): int
    {
        $hand = $this->hands[0];

        return count($this->hands) === 1
            ? intdiv($hand->slots(), max(1, $hand->plan->pattern->bars()))
            : array_sum(array_map(static fn (HandInUse $each): int => $each->slots(), $this->hands));
    }

    private function hand(int $slot): HandInUse
    {
        $found = $this->hands[0];
        foreach ($this->hands as $hand) {
            $found = $hand->firstSlot <= $slot ? $hand : $found;
        }

        return $found;
    }
}
