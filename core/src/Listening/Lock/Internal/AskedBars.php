<?php

declare(strict_types=1);

namespace Gravik\Listening\Lock\Internal;

use Gravik\Listening\Lock\Plan;
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
        $beat = $timeline->map->first()->tempo->beatSeconds();
        $reached = $played === [] ? 1 : $timeline->barAt(max($played) + self::EARLY) + 1;
        if ($asked !== null && $reached <= $asked) {
            return new self($asked, $timeline->secondsOfBars($asked), $beat);
        }
        $lastBar = $timeline->secondsOfBars($reached - 1);
        $closing = array_filter($played, static fn (float $t): bool => $t >= $lastBar - self::EARLY);
        $isClosed = $reached > 1 && count($closing) <= self::CLOSING_STROKES && max(0.0, ...$closing) < $lastBar + $beat
            && ($asked !== null || count($closing) < self::planned($timeline, $reached));
        $bars = max($asked ?? 1, $isClosed ? $reached - 1 : $reached);

        return new self($bars, $timeline->secondsOfBars($bars), $beat);
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
