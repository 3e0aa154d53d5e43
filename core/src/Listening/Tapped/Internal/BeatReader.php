<?php

declare(strict_types=1);

namespace Gravik\Listening\Tapped\Internal;

/**
 * Puts the taps of one beat on the slots of one division of it: in order, one to a slot, at the least cost. A tap lies
 * from its slot at (distance/spread)²/2; a tap that finds no slot costs as much as one that lies far off.
 *
 * @internal used by RhythmReader
 */
final readonly class BeatReader
{
    /** How far people tap from what they mean, ms (rule of thumb). */
    private const SPREAD_MS = 18.0;

    public const LEFT_OUT = 12.0;

    private float $spread;

    /** @param float $beatSeconds length of the beat */
    public function __construct(float $beatSeconds)
    {
        $this->spread = self::SPREAD_MS / 1000 / $beatSeconds;
    }

    /**
     * @param list<float> $taps  places in the beat, in order
     * @param list<float> $slots places in the beat, in order
     *
     * @return array{cost: float, slots: list<?int>} the slot of each tap; null for one left out
     */
    public function read(array $taps, array $slots): array
    {
        $best = [array_fill(0, count($slots) + 1, 0.0)];
        $took = [];
        foreach ($taps as $number => $tap) {
            $before = $best[$number];
            $row = [$before[0] + self::LEFT_OUT];
            $choice = [false];
            foreach ($slots as $slot => $place) {
                $taken = $before[$slot] + (($tap - $place) / $this->spread) ** 2 / 2;
                $left = $before[$slot + 1] + self::LEFT_OUT;
                $unused = $row[$slot];
                $row[] = min($taken, $left, $unused);
                $choice[] = $taken <= $left && $taken <= $unused ? true : ($left <= $unused ? false : null);
            }
            $best[] = $row;
            $took[] = $choice;
        }

        return ['cost' => $best[count($taps)][count($slots)], 'slots' => self::trace($took, count($slots))];
    }

    /**
     * @param list<list<?bool>> $took true where the tap takes that slot, false where it is left out, null where the slot stays empty
     *
     * @return list<?int>
     */
    private static function trace(array $took, int $slot): array
    {
        $slots = [];
        for ($tap = count($took) - 1; $tap >= 0;) {
            $choice = $took[$tap][$slot];
            if ($choice === null) {
                $slot--;
                continue;
            }
            $slots[] = $choice ? --$slot : null;
            $tap--;
        }

        return array_reverse($slots);
    }
}
