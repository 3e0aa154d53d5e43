<?php

declare(strict_types=1);

namespace Gravik\Listening\Feel\Internal;

use Gravik\Listening\Statistics;
use Gravik\Time\Meter;
use Gravik\Time\SwingUnit;

/**
 * Finds beat and grid of strokes of which nothing is known. Every tempo and every way to divide the beat is tried; the
 * one wins that describes the strokes shortest: how far they lie from their slots, which slots of a bar (or of two) are
 * played each time and which never, and how usual the tempo is, which alone tells half from double.
 *
 * @internal
 */
final readonly class BeatSearch
{
    private const SLOWEST = 36.0;

    private const FASTEST = 240.0;

    private const STEP = 0.02;

    /** A first beat that is known is met within so many seconds, or at such a price. */
    private const ANCHORED = 0.02;

    private const UNANCHORED = 60.0;

    /** Tempo and lean are made more exact so many times; a beat is never this short, seconds. */
    private const ROUNDS = 2;

    private const SHORTEST_BEAT = 0.1;

    /** A tempo that is known is met within this share. */
    private const KNOWN_WITHIN = 0.06;

    /** Strokes that are looked at: the first ones; a tempo that wanders would blur more. */
    private const LOOKED_AT = 160;

    /** Tempos of each way to divide the beat that are weighed to the end. */
    private const WEIGHED = 4;

    /** A tempo around this is the likeliest, by slots a beat; so many octaves away it is unlikely (rules of thumb). */
    private const USUAL = [1 => 130.0, 2 => 118.0, 3 => 90.0, 4 => 92.0, 6 => 60.0];

    private const USUAL_COMPOUND = [1 => 65.0, 3 => 65.0, 6 => 50.0];

    private const OCTAVES = 0.3;

    /** Whoever plays now each, now every other one, hardly plays beats, but what lies between them too. */
    private const IRREGULAR = 85.0;

    private const IRREGULAR_SHARE = 0.15;

    /** How much rarer a division is, nepers; one that leans is rarer still, sixteenths the more. */
    private const RARE = [1 => 0.0, 2 => 0.0, 3 => 1.0, 4 => 0.5, 6 => 2.5];

    private const LEANS = 0.53;

    /** Strokes on every other beat only are more likely strokes on every beat of half the tempo. */
    private const SKIPPING = 4.0;

    /** A grid for so few strokes is too fine. */
    private const FEW = 0.04;

    /** Scatter below this says nothing, seconds. */
    private const LEAST_SCATTER = 0.004;

    /** The arm comes down on the beat: an up stroke there costs so many nepers (the ear takes one direction in ten for the other). */
    private const UP_ON_BEAT = 0.5;

    /** One stroke in so many belongs to no slot. */
    private const STRAY = 0.02;

    public function __construct(private Meter $meter, private BeatTracker $tracker = new BeatTracker()) {}

    /**
     * @param non-empty-list<float> $times    seconds, in order
     * @param ?float                $bpm      where the tempo is about known
     * @param ?int                  $division where it is known how the beat divides
     * @param ?float                $firstBeat seconds of a beat, where it is known
     * @param list<int>             $ups       places of the strokes that are known to have gone up
     *
     * @return array{grid: BeatGrid, beat: float} beat in seconds
     */
    public function find(array $times, ?float $bpm = null, ?int $division = null, ?float $firstBeat = null, array $ups = []): array
    {
        $times = array_slice($times, 0, self::LOOKED_AT);
        $best = ['score' => INF, 'grid' => new BeatGrid($division ?? 1), 'beat' => 60 / ($bpm ?? 120)];
        foreach ($this->grids($division) as $grid) {
            $rough = [];
            foreach ($this->tempos($bpm) as $tempo) {
                $tracked = $this->tracker->track($times, 60 / $tempo, $grid, $firstBeat);
                $rough[] = [
                    $tracked['cost']
                        + $this->pattern($tracked['beats'], $tracked['slots'], $grid)
                        + $this->unusual($tempo, $grid->division, false),
                    $tempo,
                ];
            }
            sort($rough);
            foreach (array_slice($rough, 0, self::WEIGHED) as [, $tempo]) {
                $weighed = $this->weigh($times, 60 / $tempo, $grid, $bpm, $firstBeat, $division !== null, $ups);
                $best = $weighed['score'] < $best['score'] ? $weighed : $best;
            }
        }

        return ['grid' => $best['grid'], 'beat' => $best['beat']];
    }

    /** @return list<float> */
    private function tempos(?float $bpm): array
    {
        if ($bpm !== null) {
            return [$bpm, 0.98 * $bpm, 1.02 * $bpm];
        }
        $tempos = [];
        for ($tempo = self::SLOWEST; $tempo <= self::FASTEST; $tempo *= 1 + self::STEP) {
            $tempos[] = $tempo;
        }

        return $tempos;
    }

    /** @return list<BeatGrid> */
    private function grids(?int $division): array
    {
        $grids = $this->meter->isCompound()
            ? [new BeatGrid(1), new BeatGrid(3), new BeatGrid(6)]
            : [
                new BeatGrid(1), new BeatGrid(3), new BeatGrid(6),
                ...array_map(
                    static fn (float $share): BeatGrid => new BeatGrid(2, SwingUnit::Eighth, $share),
                    [0.5, 0.55, 0.6, 0.64, 0.68, 0.73],
                ),
                ...array_map(static fn (float $share): BeatGrid => new BeatGrid(4, SwingUnit::Sixteenth, $share), [0.5, 0.56, 0.61, 0.67]),
            ];

        return array_values(array_filter($grids, static fn (BeatGrid $grid): bool => $division === null || $grid->division === $division));
    }

    /**
     * @param non-empty-list<float> $times
     * @param list<int>             $ups
     *
     * @return array{score: float, grid: BeatGrid, beat: float}
     */
    private function weigh(
        array $times,
        float $beat,
        BeatGrid $grid,
        ?float $bpm,
        ?float $firstBeat,
        bool $gridKnown,
        array $ups,
    ): array {
        $tracked = $this->tracked($times, $beat, $grid, $bpm, $firstBeat);
        $line = BeatLine::through($times, $tracked['beats'], $tracked['slots'], $grid);
        for ($round = 0; $round < self::ROUNDS && $line->beatSeconds() > self::SHORTEST_BEAT; $round++) {
            $grid = $line->grid;
            $beat = $line->beatSeconds();
            $tracked = $this->tracked($times, $beat, $grid, $bpm, $firstBeat);
            $line = BeatLine::through($times, $tracked['beats'], $tracked['slots'], $grid);
        }
        $grid = $line->grid;
        $beat = max(self::SHORTEST_BEAT, $line->beatSeconds());
        if ($bpm !== null && abs(60 / $beat / $bpm - 1) > self::KNOWN_WITHIN) {
            return ['score' => INF, 'grid' => $grid, 'beat' => $beat];
        }
        if (! $gridKnown && $this->isFinerThanPlayed($tracked['slots'], $grid->division)) {
            return ['score' => INF, 'grid' => $grid, 'beat' => $beat];
        }
        $off = $line->residuals;
        $scatter = max(self::LEAST_SCATTER, Statistics::spread($off));
        $score = $this->unusual(60 / $beat, $grid->division, self::irregular($tracked['beats']))
            + self::RARE[$grid->division]
            + ($grid->share > self::LEANS ? $grid->division / 4 : 0.0);
        $score += $firstBeat === null ? 0.0 : min(self::UNANCHORED, (($line->start - $firstBeat) / self::ANCHORED) ** 2 / 2);
        foreach ($off as $seconds) {
            $score -= log((1 - self::STRAY) * exp(-$seconds ** 2 / (2 * $scatter ** 2)) / ($scatter * sqrt(2 * M_PI)) + self::STRAY / $beat);
        }

        $score += self::skipsBeats($tracked['beats'], $tracked['slots']) ? self::SKIPPING : 0.0;
        foreach ($ups as $number) {
            $score += ($tracked['slots'][$number] ?? null) === 0 ? self::UP_ON_BEAT : 0.0;
        }

        return ['score' => $score + $this->pattern($tracked['beats'], $tracked['slots'], $grid), 'grid' => $grid, 'beat' => $beat];
    }

    /**
     * @param non-empty-list<float> $times
     *
     * @return array{cost: float, beats: list<int>, slots: list<int>}
     */
    public function tracked(array $times, float $beat, BeatGrid $grid, ?float $bpm, ?float $firstBeat): array
    {
        return $bpm !== null && $firstBeat !== null
            ? (new ClockTracker())->track($times, $grid, $firstBeat, 60 / $bpm)
            : $this->tracker->track($times, $beat, $grid, $firstBeat);
    }

    /**
     * What it takes to say which slots are played, when each slot of a period is played about as often each time; the
     * period being a slot, a beat, two, a bar or two, whichever says it shortest.
     *
     * @param list<int> $beats
     * @param list<int> $slots
     */
    private function pattern(array $beats, array $slots, BeatGrid $grid): float
    {
        $places = [];
        foreach ($beats as $number => $beat) {
            $places[($beat - $beats[0]) * $grid->division + $slots[$number]] = true;
        }
        $last = max([0, ...array_keys($places)]);
        $shortest = INF;
        foreach ([
            1,
            $grid->division,
            2 * $grid->division,
            $this->meter->beats() * $grid->division,
            2 * $this->meter->beats() * $grid->division,
        ] as $period) {
            $played = array_fill(0, $period, 0);
            foreach ($places as $place => $_) {
                $played[$place % $period]++;
            }
            $cost = 0.0;
            for ($slot = 0; $slot < $period && $slot <= $last; $slot++) {
                $cost += self::occupied($played[$slot], intdiv($last - $slot, $period) + 1);
            }
            $shortest = min($shortest, $cost);
        }

        return $shortest;
    }

    /**
     * Whether a coarser grid would hold all but a few strokes.
     *
     * @param list<int> $slots
     */
    private function isFinerThanPlayed(array $slots, int $division): bool
    {
        foreach ([1, 2, 3] as $coarser) {
            if ($coarser < $division && $division % $coarser === 0
                && count(array_filter(
                    $slots,
                    static fn (int $slot): bool => $slot % intdiv($division, $coarser) !== 0,
                )) <= self::FEW * count($slots)) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether every other beat is empty throughout.
     *
     * @param list<int> $beats
     * @param list<int> $slots
     */
    private static function skipsBeats(array $beats, array $slots): bool
    {
        $skips = array_filter(
            $beats,
            static fn (int $beat, int $number): bool => $slots[$number] !== 0 || ($beat - $beats[0]) % 2 !== 0,
            ARRAY_FILTER_USE_BOTH,
        );

        return count($skips) <= self::FEW * count($beats);
    }

    /** @param list<int> $beats */
    private static function irregular(array $beats): bool
    {
        $gaps = [];
        foreach (array_slice($beats, 1) as $number => $beat) {
            $gaps[] = $beat - $beats[$number];
        }
        $counts = array_count_values($gaps);

        return $counts !== [] && max($counts) < (1 - self::IRREGULAR_SHARE) * count($gaps);
    }

    /**
     * Length of the shortest word, in nepers, for which of so many places are taken, not knowing beforehand how many
     * (after Krichevsky and Trofimov): ln Γ(n + 1) + 2 ln Γ(½) − ln Γ(taken + ½) − ln Γ(free + ½).
     */
    private static function occupied(int $taken, int $places): float
    {
        /** @var non-empty-list<array{float, float}> $sums of ln 1 … ln n, and of ln ½ … ln (n − ½) */
        static $sums = [[0.0, 0.0]];
        for ($number = count($sums); $number <= $places; $number++) {
            $sums[] = [$sums[$number - 1][0] + log($number), $sums[$number - 1][1] + log($number - 0.5)];
        }

        return $sums[$places][0] - $sums[$taken][1] - $sums[$places - $taken][1];
    }

    private function unusual(float $bpm, int $division, bool $irregular): float
    {
        $usual = match (true) {
            $this->meter->isCompound() => self::USUAL_COMPOUND[$division],
            $division === 1 && $irregular => self::IRREGULAR,
            default => self::USUAL[$division],
        };

        return (log($bpm / $usual, 2) / self::OCTAVES) ** 2 / 2;
    }
}
