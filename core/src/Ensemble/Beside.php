<?php

declare(strict_types=1);

namespace Gravik\Ensemble;

use Gravik\Band\Role;
use Gravik\Ensemble\Failure\NothingBeside;
use Gravik\Performance\Timeline;

/**
 * Another's part beside the guitar's: its onsets are laid on the slots of the song, then bar by bar it is told whether the two
 * strike together, between one another, or nearly alike; and what both strike where a section ends.
 */
final readonly class Beside
{
    /** Slots a beat that onsets are laid on. */
    private const GRID = 4;

    private const DOTTED_GRID = 6;

    /** An offset that is this much worse than the best is as good. */
    private const AS_GOOD_SECONDS = 0.001;

    /** A part with so little before bar 1 begins with the song. */
    private const WITH_THE_SONG = 0.05;

    private function __construct(
        public float $offsetSeconds,
        /** @var list<BesideBar> one for each bar in which either strikes */
        public array $bars,
        /** @var list<BesideBar> the last bar of each section in which the other strikes */
        public array $ends,
        /** @var array<int, float> seconds at which bar 1 may as well lie in the part, by the tick on which its first stroke then falls */
        public array $alignments,
    ) {}

    /**
     * @param list<float> $onsets seconds, in order
     * @param ?float      $offset seconds at which bar 1 lies among them; found where null
     *
     * @throws NothingBeside where there are none
     */
    public static function of(Heard $heard, array $onsets, ?float $offset = null): self
    {
        if ($onsets === []) {
            throw new NothingBeside();
        }
        $slots = self::slots($heard->timeline);
        $alignments = $offset === null ? self::alignments($heard->timeline, $onsets, $slots) : [];
        $offset ??= self::likeliest($alignments);
        $other = [];
        foreach ($onsets as $onset) {
            $place = self::nearest($slots['seconds'], $onset - $offset);
            $bar = $heard->timeline->map->barAt($slots['ticks'][$place]);
            $other[$bar][$slots['ticks'][$place]] = true;
        }
        $guitar = $heard->breakdown->guitar();
        $bars = $ends = [];
        foreach (array_keys($heard->timeline->course->bars) as $bar) {
            $own = $heard->onsets($guitar, $bar);
            $theirs = array_keys($other[$bar] ?? []);
            if ($own === [] && $theirs === []) {
                continue;
            }
            $bars[] = $beside = new BesideBar($bar, $own, $theirs, Overlap::of($own, $theirs));
            $visit = $heard->visit($bar);
            if ($theirs !== [] && $bar === $visit->bar + $visit->bars - 1) {
                $ends[] = $beside;
            }
        }

        return new self($offset, $bars, $ends, $alignments);
    }

    /**
     * What the guitar had better do beside it, section by section: hold back where the two blur, lead where the other is silent.
     *
     * @return list<RoleSuggestion> of the guitar, where there is something to say
     */
    public function proposals(Heard $heard): array
    {
        $proposals = [];
        foreach ($heard->timeline->course->visits as $visit) {
            $here = array_filter(
                $this->bars,
                static fn (BesideBar $bar): bool => $bar->bar >= $visit->bar && $bar->bar < $visit->bar + $visit->bars,
            );
            $played = array_filter($here, static fn (BesideBar $bar): bool => $bar->theirs !== []);
            $blurred = array_filter($here, static fn (BesideBar $bar): bool => $bar->overlap->isBlur());
            $alike = array_filter($here, static fn (BesideBar $bar): bool => $bar->overlap->isUnison());
            $proposal = match (true) {
                2 * count($blurred) > max(1, count($played)) => [
                    Role::Passive,
                    sprintf(
                        'in %d of %d bars the two are nearly alike: hold guide tones, or strike exactly what the other strikes',
                        count($blurred),
                        count($played),
                    ),
                ],
                $played !== [] && 2 * count($alike) > count($played) => [Role::Unison, 'the two strike together: leave it so'],
                $played === [] && $here !== [] => [Role::Active, 'the other is silent here: the chords are yours'],
                default => null,
            };
            if ($proposal !== null) {
                $proposals[] = new RoleSuggestion($heard->breakdown->guitar(), $visit, ...$proposal);
            }
        }

        return $proposals;
    }

    /** @return array{ticks: non-empty-list<int>, seconds: non-empty-list<float>} every slot of the song and where it sounds */
    private static function slots(Timeline $timeline): array
    {
        $ticks = $seconds = [];
        foreach ($timeline->course->bars as $bar) {
            $grid = $bar->meter->isCompound() ? self::DOTTED_GRID : self::GRID;
            $slot = intdiv($bar->meter->beatTicks(), $grid);
            for ($tick = $bar->tick; $tick < $bar->until(); $tick += $slot) {
                $ticks[] = $tick;
                $seconds[] = $timeline->map->secondsAt($tick, $grid);
            }
        }

        return $ticks === [] || $seconds === [] ? ['ticks' => [0], 'seconds' => [0.0]] : ['ticks' => $ticks, 'seconds' => $seconds];
    }

    /**
     * Of all that lay the first onset on a slot of the first bar those with which all onsets lie as near to slots as may be, and of
     * these those with the fewest strokes between the halves of beats. There may be many, and whoever hears the part knows which.
     *
     * @param non-empty-list<float>                                                  $onsets
     * @param array{ticks: non-empty-list<int>, seconds: non-empty-list<float>} $slots
     *
     * @return array<int, float> tick of the first onset => seconds
     */
    private static function alignments(Timeline $timeline, array $onsets, array $slots): array
    {
        $first = $timeline->course->bars[0] ?? null;
        $costs = $offsets = [];
        foreach ($slots['ticks'] as $place => $tick) {
            if ($first !== null && $tick < $first->until()) {
                $offsets[$tick] = $onsets[0] - $slots['seconds'][$place];
                $costs[$tick] = self::apart($onsets, $offsets[$tick], $slots['seconds']);
            }
        }
        $best = $costs === [] ? 0.0 : min($costs);
        $good = array_filter(
            $offsets,
            static fn (int $tick): bool => $costs[$tick] <= $best + self::AS_GOOD_SECONDS,
            ARRAY_FILTER_USE_KEY,
        );
        $between = array_map(static fn (float $offset): int => self::betweenHalves($timeline, $onsets, $offset, $slots), $good);

        $least = $between === [] ? 0 : min($between);

        return array_filter($good, static fn (int $tick): bool => $between[$tick] === $least, ARRAY_FILTER_USE_KEY);
    }

    /**
     * @param non-empty-list<float>                                                  $onsets
     * @param array{ticks: non-empty-list<int>, seconds: non-empty-list<float>} $slots
     *
     * @return int how many of them fall between the halves of beats, or the thirds of dotted ones
     */
    private static function betweenHalves(Timeline $timeline, array $onsets, float $offset, array $slots): int
    {
        return count(array_filter($onsets, static function (float $onset) use ($timeline, $offset, $slots): bool {
            $tick = $slots['ticks'][self::nearest($slots['seconds'], $onset - $offset)];
            $meter = $timeline->map->at($tick)->ruler->meter;

            return $timeline->map->at($tick)->inBar($tick) % intdiv($meter->beatTicks(), $meter->isCompound() ? 3 : 2) !== 0;
        }));
    }

    /** @param array<int, float> $alignments the one with which the part begins nearest to the song, else the first */
    private static function likeliest(array $alignments): float
    {
        $apart = array_map(abs(...), $alignments);
        asort($apart);
        $nearest = array_key_first($apart);
        $first = array_key_first($alignments);

        return match (true) {
            $nearest !== null && $apart[$nearest] <= self::WITH_THE_SONG => $alignments[$nearest],
            $first !== null => $alignments[$first],
            default => 0.0,
        };
    }

    /**
     * @param non-empty-list<float> $onsets
     * @param non-empty-list<float> $slots
     *
     * @return float seconds, in the mean
     */
    private static function apart(array $onsets, float $offset, array $slots): float
    {
        $sum = 0.0;
        foreach ($onsets as $onset) {
            $sum += abs($onset - $offset - $slots[self::nearest($slots, $onset - $offset)]);
        }

        return $sum / count($onsets);
    }

    /** @param non-empty-list<float> $slots in order */
    private static function nearest(array $slots, float $t): int
    {
        [$low, $high] = [0, count($slots) - 1];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            if ($slots[$middle] < $t) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return $low > 0 && $t - $slots[$low - 1] < $slots[$low] - $t ? $low - 1 : $low;
    }
}
