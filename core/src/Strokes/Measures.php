<?php

declare(strict_types=1);

namespace Gravik\Strokes;

use Gravik\Time\Ruler;

/** Figures by which two patterns can be compared. */
final readonly class Measures
{
    /**
     * @param float $density         strokes a bar, air not counted
     * @param float $mutedShare      share of strokes without pitch, 0–1
     * @param float $syncopation     a bar, by the weights of Meter::weightAt
     */
    private function __construct(
        public float $density,
        public float $mutedShare,
        public float $syncopation,
        public float $strokesASecond,
    ) {}

    public static function of(Pattern $pattern, Ruler $ruler): self
    {
        $strokes = $pattern->strokes();
        $dead = count(array_filter($strokes, static fn (Stroke $stroke): bool => $stroke->isDead()));
        $count = count($strokes);
        $seconds = $ruler->seconds($pattern->bars() * $pattern->meter->beats());

        return new self(
            $count / $pattern->bars(),
            $count === 0 ? 0.0 : $dead / $count,
            self::syncopation($pattern) / $pattern->bars(),
            $count / $seconds,
        );
    }

    /** Sum over strokes of (heaviest rest before the next stroke − the stroke's own weight), where positive; cyclic. */
    private static function syncopation(Pattern $pattern): int
    {
        $slot = $pattern->slotTicks();
        $slots = intdiv($pattern->ticks, $slot);
        $weights = array_map(static fn (int $place): int => $pattern->meter->weightAt($place * $slot), range(0, $slots - 1));
        $played = array_values(array_unique(array_map(static fn (Stroke $stroke): int => intdiv($stroke->at, $slot), $pattern->strokes())));
        $sum = 0;
        foreach ($played as $place => $start) {
            $end = $played[$place + 1] ?? $played[0] + $slots;
            $heaviest = null;
            for ($rest = $start + 1; $rest < $end; $rest++) {
                $heaviest = max($heaviest ?? -99, $weights[$rest % $slots]);
            }
            $sum += $heaviest === null ? 0 : max(0, $heaviest - $weights[$start]);
        }

        return $sum;
    }
}
