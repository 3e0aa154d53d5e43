<?php

declare(strict_types=1);

namespace Gravik\Listening\Lock\Internal;

use Gravik\Listening\Hit;
use Gravik\Listening\Lock\Matching;
use Gravik\Listening\Lock\Plan;
use Gravik\Listening\Lock\Take;
use Gravik\Listening\PlayedOnset;

/**
 * What each stroke that was met shows beside its planned one.
 *
 * @internal used by LockReporter
 */
final readonly class Hits
{
    /** A stroke that is planned to end so near the next one is ended by it, seconds. */
    private const ENDED_BY_NEXT = 0.06;

    /** Whether a stroke rings cannot be heard where the next one comes sooner, seconds: a dead one has not fallen yet. */
    private const TOO_SHORT_TO_RING = 0.085;

    /** @param list<float> $played seconds, the device's delay taken off */
    public function __construct(private Plan $plan, private Take $take, private array $played, private Matching $matching) {}

    /** @return list<Hit> */
    public function all(): array
    {
        $hits = [];
        foreach ($this->matching->pairs as $index => $stroke) {
            $onset = $this->plan->onsets[$index];
            $tap = $this->take->taps[$stroke];
            $planned = $tap->seconds === null || $tap->muted === true || $onset->muted ? null : $this->length($index, $stroke);
            $direction = $onset->direction === null ? null : $this->take->wayOf($stroke, $onset->midi);
            $hits[] = new Hit(
                $onset->slot,
                $onset->bar,
                $onset->t,
                1000 * ($this->played[$stroke] - $onset->t),
                $direction === null ? null : $direction === $onset->direction,
                self::tellsMuting($tap) ? $tap->muted === $onset->muted : null,
                $tap->levelDb,
                $planned === null ? null : $tap->seconds / $planned,
                $planned === null ? null : $tap->seconds - $planned,
                $tap->isSure(),
            );
        }

        return $hits;
    }

    private static function tellsMuting(PlayedOnset $tap): bool
    {
        return $tap->levelDb !== null && $tap->muted !== null && ($tap->muted || ($tap->seconds ?? INF) >= self::TOO_SHORT_TO_RING);
    }

    /**
     * How long a stroke was to sound: one that the next stroke ends lasts as long as the player took to get there, and has no
     * length to be held against where that next stroke was not met; nor has one that sounds past the next, which was not heard.
     */
    private function length(int $index, int $stroke): ?float
    {
        $onset = $this->plan->onsets[$index];
        $next = $this->plan->onsets[$index + 1] ?? null;
        if ($next !== null && $this->played[$stroke] + (float) $this->take->taps[$stroke]->seconds
            > $next->t + ($this->matching->shifts[$index + 1] ?? 0.0) + self::ENDED_BY_NEXT) {
            return null;
        }
        if ($next === null || abs($next->t - $onset->t - $onset->seconds) > self::ENDED_BY_NEXT) {
            return $onset->seconds;
        }
        $ender = $this->matching->pairs[$index + 1] ?? null;

        return $ender === null ? null : max(0.01, $this->played[$ender] - $this->played[$stroke]);
    }
}
