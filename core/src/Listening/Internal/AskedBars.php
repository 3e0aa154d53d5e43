<?php

declare(strict_types=1);

namespace Gravik\Listening\Internal;

use Gravik\Listening\Plan;
use Gravik\Performance\Timeline;

/**
 * How many bars a take is held against. A stroke or two within a beat after the last bar end it and begin no new round;
 * who goes on playing is held against what comes then.
 *
 * @internal used by LockReporter
 */
final readonly class AskedBars
{
    private const CLOSING_STROKES = 2;

    /** A closing stroke may come so early, seconds. */
    private const EARLY = 0.12;

    /** @param float $end seconds at which the last bar ends */
    private function __construct(public int $bars, private float $end, private float $beat) {}

    /**
     * @param list<float> $played seconds, in order
     * @param ?int        $asked  bars that were asked for; null where nobody said: then as many as were played
     */
    public static function of(Timeline $timeline, array $played, ?int $asked): self
    {
        $bar = $timeline->ruler->seconds($timeline->ruler->meter->beats());
        $beat = $timeline->ruler->tempo->beatSeconds();
        $reached = $played === [] ? 1 : max(1, (int) floor((max($played) + self::EARLY) / $bar) + 1);
        if ($asked !== null && $reached <= $asked) {
            return new self($asked, $asked * $bar, $beat);
        }
        $closing = array_filter($played, static fn (float $t): bool => $t >= ($reached - 1) * $bar - self::EARLY);
        $isClosed = $reached > 1 && count($closing) <= self::CLOSING_STROKES && max(0.0, ...$closing) < ($reached - 1) * $bar + $beat
            && ($asked !== null || count($closing) < self::planned($timeline, $reached));
        $bars = max($asked ?? 1, $isClosed ? $reached - 1 : $reached);

        return new self($bars, $bars * $bar, $beat);
    }

    /** Whether a stroke that met nothing is the one the take closes with. */
    public function isClosing(float $t): bool
    {
        return $t >= $this->end - self::EARLY && $t < $this->end + $this->beat;
    }

    /** How many strokes are planned in the last of so many bars. */
    private static function planned(Timeline $timeline, int $bars): int
    {
        return count(array_filter(Plan::ofBars($timeline, $bars)->onsets, static fn ($onset): bool => $onset->bar === $bars - 1));
    }
}
