<?php

declare(strict_types=1);

namespace Gravik\Listening\Lock;

use Gravik\Listening\Failure\NothingPlanned;
use Gravik\Performance\PlayedStroke;
use Gravik\Performance\Timeline;
use Gravik\Time\Ruler;
use Gravik\Time\Stretch;

/** What a take is held against: the guitar's onsets, as far as the take goes. */
final readonly class Plan
{
    /** Planned strokes closer together than this are heard as one. */
    private const ONE_ONSET_SECONDS = 0.02;

    /**
     * @param non-empty-list<PlannedOnset> $onsets in order of time
     */
    private function __construct(public array $onsets, public Timeline $timeline) {}

    /**
     * The song, repeated while the take goes on and one bar longer, since a stroke may come just before its bar line.
     *
     * @param float $until seconds of the last stroke played
     */
    public static function of(Timeline $timeline, float $until): self
    {
        return self::ofBars($timeline, $timeline->barAt($until) + 2);
    }

    /**
     * The first so many bars of the song, repeated where there are more than it has; nobody is held to bars of free comping.
     *
     * @param int $from bar with which it begins, from 0
     */
    public static function ofBars(Timeline $timeline, int $bars, int $from = 0): self
    {
        if ($timeline->strokes === []) {
            throw new NothingPlanned();
        }
        $onsets = [];
        for ($round = 0; $round * $timeline->bars() < $bars; $round++) {
            foreach ($timeline->strokes as $stroke) {
                $onset = self::onset($stroke, $round, $timeline);
                $before = $onsets[count($onsets) - 1] ?? null;
                $isAsked = $onset->bar >= $from && $onset->bar < $bars && ! $timeline->isFreeAt($stroke->t);
                if ($isAsked && ($before === null || $onset->t - $before->t > self::ONE_ONSET_SECONDS)) {
                    $onsets[] = $onset;
                }
            }
        }

        return $onsets === [] ? throw new NothingPlanned() : new self($onsets, $timeline);
    }

    /** The meter, tempo and feel it begins in. */
    public function ruler(): Ruler
    {
        return $this->timeline->map->first();
    }

    /** Seconds between the two closest onsets; a beat where there is only one. */
    public function smallestGap(): float
    {
        $gap = $this->ruler()->tempo->beatSeconds();
        foreach (array_slice($this->onsets, 1) as $place => $onset) {
            $gap = min($gap, $onset->t - $this->onsets[$place]->t);
        }

        return $gap;
    }

    /** @param int $tick counted on while the song is played again */
    public function stretchAt(int $tick): Stretch
    {
        return $this->timeline->map->at($this->inRound($tick));
    }

    public function isOnBeat(int $tick): bool
    {
        return $this->stretchAt($tick)->inBeat($this->inRound($tick)) === 0;
    }

    /** Seconds of a place on the beat. */
    public function secondsAt(int $tick): float
    {
        $within = $this->inRound($tick);

        return $this->timeline->map->secondsAt($within, 1)
            + intdiv($tick - $within, max(1, $this->timeline->map->ticks)) * $this->timeline->seconds;
    }

    private function inRound(int $tick): int
    {
        $round = max(1, $this->timeline->map->ticks);

        return ($tick % $round + $round) % $round;
    }

    private static function onset(PlayedStroke $stroke, int $round, Timeline $timeline): PlannedOnset
    {
        return new PlannedOnset(
            $stroke->t + $round * $timeline->seconds,
            $stroke->slot,
            $stroke->bar + $round * $timeline->bars(),
            $stroke->tick + $round * $timeline->map->ticks,
            $stroke->stroke->direction,
            $stroke->stroke->isDead(),
            max([$stroke->t + 0.01, ...$stroke->ends]) - $stroke->t,
            array_values(array_filter(
                array_map(static fn (int $string): ?int => $stroke->voicing->midi[$string], $stroke->strings),
                static fn (?int $pitch): bool => $pitch !== null,
            )),
        );
    }
}
