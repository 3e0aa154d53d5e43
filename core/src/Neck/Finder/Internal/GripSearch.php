<?php

declare(strict_types=1);

namespace Gravik\Neck\Finder\Internal;

use Gravik\Neck\FretRange;
use Gravik\Neck\Neck;

/**
 * Every grip that meets the bare rules: a complete search, string by string, cut where no end can meet them.
 *
 * @internal VoicingFinder is the door
 */
final class GripSearch
{
    private const BOX = 3;

    /** @var list<array<int, int>> per string: fret => pitch-class bit, allowed ones only */
    private array $playable;

    /** @var list<int> bits that this string and those above it could still add */
    private array $reachable;

    /** @var list<list<int|null>> */
    private array $found = [];

    /** @var list<int> */
    private readonly array $openMidi;

    public function __construct(Neck $neck, FretRange $range, private readonly Demand $demand, private readonly int $fingers = 4)
    {
        $this->openMidi = $neck->openMidi();
        $strings = count($this->openMidi);
        $playable = [];
        foreach ($this->openMidi as $index => $midi) {
            $frets = [];
            if (in_array($strings - $index, $neck->strings, true)) {
                for ($fret = $range->lowest; $fret <= $range->highest; $fret++) {
                    $bit = 1 << (($midi + $fret) % 12);
                    if (($bit & $demand->allowed) !== 0) {
                        $frets[$fret] = $bit;
                    }
                }
            }
            $playable[] = $frets;
        }
        $this->playable = $playable;
        $reachable = array_fill(0, $strings + 1, 0);
        for ($index = $strings - 1; $index >= 0; $index--) {
            $reachable[$index] = $reachable[$index + 1] | array_reduce(
                $playable[$index],
                static fn (int $all, int $bit): int => $all | $bit,
                0,
            );
        }
        $this->reachable = array_values($reachable);
    }

    /** @return list<list<int|null>> frets from the lowest string to the highest */
    public function run(): array
    {
        $this->found = [];
        $this->place([], 0, 99, -1, 0, 0, 0);

        return $this->found;
    }

    /**
     * @param list<int|null> $frets
     * @param int            $low    lowest fretted fret so far, 99 for none
     * @param int            $high   highest fretted fret so far, −1 for none
     * @param int            $gaps   muted strings between sounding ones so far
     * @param int            $silent muted strings since the last sounding one
     */
    private function place(array $frets, int $bits, int $low, int $high, int $sounding, int $gaps, int $silent): void
    {
        $index = count($frets);
        if ((($bits | $this->reachable[$index]) & $this->demand->required) !== $this->demand->required) {
            return;
        }
        if ($index === count($this->playable)) {
            if ($sounding >= $this->demand->leastStrings
                && ($this->demand->oneOf === 0 || ($bits & $this->demand->oneOf) !== 0)
                && $this->lowestFits($frets) && $this->fingersDo($frets)) {
                $this->found[] = $frets;
            }

            return;
        }
        $gapsIfSounding = $sounding > 0 ? $gaps + $silent : 0;
        if ($gapsIfSounding <= 1) {
            foreach ($this->playable[$index] as $fret => $bit) {
                $next = $frets;
                $next[] = $fret;
                if ($fret === 0) {
                    $this->place($next, $bits | $bit, $low, $high, $sounding + 1, $gapsIfSounding, 0);
                } elseif ($high < 0 || ($fret - $low <= self::BOX && $high - $fret <= self::BOX)) {
                    $this->place($next, $bits | $bit, min($low, $fret), max($high, $fret), $sounding + 1, $gapsIfSounding, 0);
                }
            }
        }
        $frets[] = null;
        $this->place($frets, $bits, $low, $high, $sounding, $gaps, $silent + 1);
    }

    /** @param list<int|null> $frets */
    private function fingersDo(array $frets): bool
    {
        $fretted = 0;
        foreach ($frets as $fret) {
            $fretted += $fret === null || $fret === 0 ? 0 : 1;
        }

        return $fretted <= $this->fingers || FingerRuns::of($frets)->count() <= $this->fingers;
    }

    /** @param list<int|null> $frets */
    private function lowestFits(array $frets): bool
    {
        if ($this->demand->lowest === null) {
            return true;
        }
        $lowest = 999;
        foreach ($frets as $index => $fret) {
            if ($fret !== null && $this->openMidi[$index] + $fret < $lowest) {
                $lowest = $this->openMidi[$index] + $fret;
            }
        }

        return $lowest % 12 === $this->demand->lowest;
    }
}
