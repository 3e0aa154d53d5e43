<?php

declare(strict_types=1);

namespace Gravik\Listening\Feel;

use Gravik\Listening\Failure\TooFewStrokesForFeel;
use Gravik\Listening\Feel\Internal\BarSlots;
use Gravik\Listening\Feel\Internal\BeatGrid;
use Gravik\Listening\Feel\Internal\BeatLine;
use Gravik\Listening\Feel\Internal\BeatSearch;
use Gravik\Listening\Feel\Internal\BeatTracker;
use Gravik\Listening\Feel\Internal\TempoBend;
use Gravik\Listening\Hit;
use Gravik\Listening\Internal\Deviations;
use Gravik\Listening\ListeningException;
use Gravik\Listening\PlayedOnset;
use Gravik\Listening\Statistics;
use Gravik\Strokes\Direction;
use Gravik\Time\Meter;
use Gravik\Time\Swing;
use Gravik\Time\Tempo;

/** Measures tempo, grid, swing and accents of strokes of which no plan is known. */
final readonly class FeelMeter
{
    public const FEWEST = 8;

    private const FEWEST_PAIRS = 2;

    public function __construct(private BeatTracker $tracker = new BeatTracker()) {}

    /**
     * @param list<PlayedOnset> $strokes   in order of time, seconds from the start of the recording
     * @param ?Tempo    $tempo     where it is known
     * @param ?float    $firstBeat seconds of bar 1 beat 1, where it is known
     * @param ?int      $division  slots a beat, where they are known: 1, 2, 3, 4 or 6
     *
     * @throws ListeningException where there are too few strokes to say
     */
    public function measure(
        array $strokes,
        Meter $meter,
        ?Tempo $tempo = null,
        ?float $firstBeat = null,
        ?int $division = null,
    ): FeelReading {
        if (count($strokes) < self::FEWEST) {
            throw new TooFewStrokesForFeel(count($strokes), self::FEWEST);
        }
        $times = array_map(static fn (PlayedOnset $tap): float => $tap->t, $strokes);
        $search = new BeatSearch($meter, $this->tracker);
        $ups = array_keys(array_filter($strokes, static fn (PlayedOnset $stroke): bool => $stroke->direction === Direction::Up));
        $found = $search->find($times, $tempo?->bpm, $division, $firstBeat, $ups);
        ['beats' => $beats, 'slots' => $slots] = $search->tracked($times, $found['beat'], $found['grid'], $tempo?->bpm, $firstBeat);
        $line = BeatLine::through($times, $beats, $slots, $found['grid']);
        $grid = $line->grid;
        $measured = 60 / $line->beatSeconds();
        $start = $firstBeat ?? $line->start;
        $beat = $tempo !== null && $firstBeat !== null ? $tempo->beatSeconds() : $line->beatSeconds();
        $swing = $this->swing($times, $beats, $slots, $grid, $firstBeat === null ? null : [$start, $beat]);
        $upbeatsAlone = ! in_array(0, array_map(static fn (int $slot): int => $slot % 2, $slots), true);
        $grid = $swing !== null && $upbeatsAlone ? $grid->leaning(Swing::share($swing->ratio)) : $grid;

        $placed = [];
        $hits = [];
        foreach ($strokes as $number => $stroke) {
            $at = $start + ($beats[$number] + $grid->places[$slots[$number]]) * $beat;
            $bar = (int) floor($beats[$number] / $meter->beats());
            $slot = ($beats[$number] - $bar * $meter->beats()) * $grid->division + $slots[$number];
            $hits[] = new Hit($slot, $bar, $at, 1000 * ($stroke->t - $at));
            $placed[] = new PlacedStroke(
                $stroke->t,
                $bar,
                $slot,
                1000 * ($stroke->t - $line->at($beats[$number] + $grid->places[$slots[$number]])),
                $stroke->levelDb,
                $stroke->muted,
                $stroke->direction,
                $stroke->seconds,
            );
        }
        $deviations = Deviations::of($hits);

        return new FeelReading(
            $meter,
            $measured,
            $grid->division,
            $grid->unit,
            $swing,
            $tempo !== null && $firstBeat !== null ? $deviations?->biasMs : null,
            $deviations->spreadMs ?? 0.0,
            TempoBend::of($hits, 60 / $beat),
            $firstBeat ?? $line->start,
            $grid->places,
            array_map(static fn (int $number): float => $line->at($number), range(0, max(0, ...$beats) + 1)),
            $placed,
            $this->barTempos($times, $beats, $slots, $grid, $meter),
            (new BarSlots($meter, $grid->division))->of($placed),
        );
    }

    /**
     * The median over complete pairs, as in the lock report; where off-beats are played alone and the beat is known,
     * their place in it.
     *
     * @param list<float>             $times
     * @param list<int>               $beats
     * @param list<int>               $slots
     * @param ?array{float, float}    $known first beat and seconds a beat
     */
    private function swing(array $times, array $beats, array $slots, BeatGrid $grid, ?array $known): ?SwingHeard
    {
        if ($grid->pair() === null) {
            return null;
        }
        $at = [];
        foreach ($times as $number => $t) {
            $at[$beats[$number] * $grid->division + $slots[$number]] ??= $t;
        }
        $ratios = [];
        $alone = [];
        foreach ($at as $place => $off) {
            if ($place % 2 === 0) {
                continue;
            }
            if (isset($at[$place - 1], $at[$place + 1]) && $at[$place + 1] > $off) {
                $ratios[] = ($off - $at[$place - 1]) / ($at[$place + 1] - $off);
            }
            if ($known !== null) {
                $share = (($off - $known[0]) / $known[1] * $grid->division - $place + 1) / 2;
                $alone = $share > 0.1 && $share < 0.9 ? [...$alone, Swing::ratio($share)] : $alone;
            }
        }
        $ratios = count($ratios) >= self::FEWEST_PAIRS ? $ratios : $alone;
        if (count($ratios) < self::FEWEST_PAIRS) {
            return null;
        }
        [$low, $high] = Statistics::interval($ratios);

        return new SwingHeard(Statistics::median($ratios), $low, $high, $ratios);
    }

    /**
     * The tempo around each bar, from the line through its strokes and those of its neighbours.
     *
     * @param list<float> $times
     * @param list<int>   $beats
     * @param list<int>   $slots
     *
     * @return list<float>
     */
    private function barTempos(array $times, array $beats, array $slots, BeatGrid $grid, Meter $meter): array
    {
        $tempos = [];
        for ($bar = 0; $bar * $meter->beats() <= max([0, ...$beats]); $bar++) {
            $x = $y = [];
            foreach ($beats as $number => $beat) {
                if ($beat >= ($bar - 1) * $meter->beats() && $beat < ($bar + 2) * $meter->beats()) {
                    $x[] = $beat + $grid->places[$slots[$number]];
                    $y[] = $times[$number];
                }
            }
            $slope = count($x) < 3 || $y === [] ? 0.0 : Statistics::line($x, $y)[1];
            $tempos[] = $slope > 0.1 ? 60 / $slope : ($tempos[count($tempos) - 1] ?? 0.0);
        }

        return $tempos;
    }
}
