<?php

declare(strict_types=1);

namespace Gravik\Listening\Tapped;

use Gravik\Listening\Failure\NothingTapped;
use Gravik\Listening\ListeningException;
use Gravik\Listening\PlayedOnset;
use Gravik\Listening\Tapped\Internal\BeatReader;
use Gravik\Listening\Tapped\Internal\PlainReading;
use Gravik\Strokes\Articulation;
use Gravik\Strokes\Hand\HandPlanner;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\School;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;
use Gravik\Time\Feel;
use Gravik\Time\Meter;
use Gravik\Time\Ruler;
use Gravik\Time\SwingUnit;
use Gravik\Time\Tempo;

/**
 * Reads a rhythm tapped over a click as a pattern. Every beat may be divided in its own way; the feel and a constant
 * delay belong to the whole. Each way to hear it (straight, thirds alone, swung eighths, swung sixteenths) is searched for
 * its cheapest reading: the distance of the taps, and a price for every division, for a swing and for a delay.
 */
final readonly class PatternReader
{
    /** What a beat pays for being divided so. */
    private const DIVISIONS = [1 => 0.0, 2 => 1.0, 3 => 2.0, 4 => 2.5, 6 => 5.0];

    private const SWING = 2.0;

    private const DELAY_MS = 40.0;

    /** Shares of the pair, in hundredths, between which a swing is looked for: less is a straight pair, unevenly tapped. */
    private const SWUNG = [55, 75];

    /** A tap so little before a beat belongs to it, in beats. */
    private const EARLY = 1 / 12;

    /** Two taps closer than this are one that bounced. */
    private const BOUNCE_SECONDS = 0.035;

    /** A way to hear it that is this much dearer than the best is not offered. */
    private const WORTH_OFFERING = 40.0;

    public function __construct(
        private Tempo $tempo,
        private Meter $meter,
        private School $school = School::Pendulum,
        private HandPlanner $planner = new HandPlanner(),
    ) {}

    /**
     * @param list<PlayedOnset> $taps in order of time, over the pattern's bars once
     * @param int               $bars 1 to 4
     * @param int               $from bar of the taps with which the pattern begins, from 0
     *
     * @return list<PatternReading> the likeliest first, each another pattern or feel; last the plain one, where no other is the same
     *
     * @throws ListeningException where nothing was tapped
     */
    public function read(array $taps, int $bars, int $from = 0): array
    {
        $taps = $this->within($from === 0 ? $taps : $this->since($taps, $from), $bars);
        if ($taps === []) {
            throw new NothingTapped();
        }
        $all = array_keys(self::DIVISIONS);
        $ways = $this->meter->isCompound()
            ? [[null, $all]]
            : [[null, $all], [null, [1, 3, 6]], [SwingUnit::Eighth, $all], [SwingUnit::Sixteenth, $all]];
        $readings = array_map(fn (array $way): PatternReading => $this->cheapest($taps, $bars, ...$way), $ways);
        usort($readings, static fn (PatternReading $a, PatternReading $b): int => $a->cost <=> $b->cost);
        $plain = (new PlainReading($this->tempo, $this->meter))->of($taps, $bars);
        $plain = $plain->withPattern($plain->pattern->withStreams([new Stream(
            'strum',
            $this->fixedWhereTheHandDiffers($plain->pattern->streams[0]->strokes, 1, $plain->feel),
        )]));
        $different = [];
        foreach ([...$readings, $plain] as $reading) {
            if (
                $reading->isPlain
                || ($reading->cost <= $readings[0]->cost + self::WORTH_OFFERING && ($reading->feel->ratio <= 1 || $reading->hasPair()))
            ) {
                $different[$reading->feel->ratio.serialize(array_map(
                    fn (Stroke $stroke): array => [$stroke->at, $stroke->at % $this->meter->beatTicks() === 0 ? 1 : $stroke->division],
                    $reading->pattern->strokes(),
                )).$reading->pattern->ticks] ??= $reading;
            }
        }

        return array_values($different);
    }

    /**
     * @param list<PlayedOnset> $taps
     *
     * @return list<PlayedOnset> those of this bar and after, in seconds from where it begins
     */
    private function since(array $taps, int $bar): array
    {
        $beat = $this->tempo->beatSeconds();
        $start = $bar * $this->meter->beats() * $beat;

        return array_values(array_map(
            static fn (PlayedOnset $tap): PlayedOnset => $tap->at($tap->t - $start),
            array_filter($taps, static fn (PlayedOnset $tap): bool => $tap->t >= $start - self::EARLY * $beat),
        ));
    }

    /**
     * @param list<PlayedOnset> $taps in order of time
     *
     * @return list<PlayedOnset> without bounces, and without those that begin the next round
     */
    private function within(array $taps, int $bars): array
    {
        $end = ($bars * $this->meter->beats() - self::EARLY) * $this->tempo->beatSeconds();
        $kept = [];
        foreach ($taps as $tap) {
            $before = $kept === [] ? -INF : $kept[count($kept) - 1]->t;
            if ($tap->t < $end && $tap->t - $before >= self::BOUNCE_SECONDS) {
                $kept[] = $tap;
            }
        }

        return $kept;
    }

    /**
     * Coarsely over all delays and swings, then finely around the best.
     *
     * @param non-empty-list<PlayedOnset> $taps
     * @param list<int>           $divisions that a beat may have
     */
    private function cheapest(array $taps, int $bars, ?SwingUnit $unit, array $divisions): PatternReading
    {
        $coarse = $this->search(
            $taps,
            $bars,
            $unit,
            $divisions,
            range(-120, 120, 8),
            $unit === null ? [50.0] : array_map(static fn (int $percent): float => (float) $percent, range(self::SWUNG[0], self::SWUNG[1])),
        );
        [$delay, $percent] = [$coarse['delay'], $coarse['percent']];
        $around = array_map(
            static fn (int $step): float => max((float) self::SWUNG[0], min($percent + $step / 4, (float) self::SWUNG[1])),
            range(-3, 3),
        );
        $fine = $this->search($taps, $bars, $unit, $divisions, range($delay - 7, $delay + 7), $unit === null ? [50.0] : $around);

        return $this->reading($taps, $bars, $this->feel($unit, $fine['percent']), $fine);
    }

    /**
     * @param non-empty-list<PlayedOnset> $taps
     * @param list<int>           $divisions
     * @param list<int>           $delays    ms
     * @param list<float>         $percents  share of the pair
     *
     * @return array{cost: float, delay: int, percent: float, divisions: array<int, int>} divisions by beat
     */
    private function search(array $taps, int $bars, ?SwingUnit $unit, array $divisions, array $delays, array $percents): array
    {
        $best = ['cost' => INF, 'delay' => 0, 'percent' => 50.0, 'divisions' => []];
        foreach ($delays as $delay) {
            $places = array_map(static fn (array $inBeat): array => array_column($inBeat, 0), $this->beats($taps, $bars, $delay));
            $even = $this->costs($places, array_values(array_intersect($divisions, [1, 3, 6])), Feel::straight());
            foreach ($percents as $percent) {
                $leaning = $this->costs($places, array_values(array_intersect($divisions, [2, 4])), $this->feel($unit, $percent));
                $cost = ($delay / self::DELAY_MS) ** 2 / 2 + ($unit === null ? 0.0 : self::SWING);
                $chosen = [];
                foreach ($places as $beat => $inBeat) {
                    $costs = $even[$beat] + $leaning[$beat];
                    asort($costs);
                    $chosen[$beat] = (int) array_key_first($costs);
                    $cost += $costs[$chosen[$beat]];
                }
                if ($cost < $best['cost']) {
                    $best = ['cost' => $cost, 'delay' => $delay, 'percent' => $percent, 'divisions' => $chosen];
                }
            }
        }

        return $best;
    }

    private function feel(?SwingUnit $unit, float $percent): Feel
    {
        return $unit === null ? Feel::straight() : Feel::fixed(round($percent / (100 - $percent), 2), $unit);
    }

    /**
     * The taps by the beat they belong to; what comes before the first beat leads into it from the end of the pattern.
     *
     * @param non-empty-list<PlayedOnset> $taps
     *
     * @return array<int, list<array{float, PlayedOnset}>> places within the beat, in order
     */
    private function beats(array $taps, int $bars, int $delayMs): array
    {
        $count = $bars * $this->meter->beats();
        $beats = [];
        foreach ($taps as $tap) {
            $place = ($tap->t - $delayMs / 1000) / $this->tempo->beatSeconds();
            $beat = (int) floor($place + self::EARLY);
            $beats[($beat % $count + $count) % $count][] = [$place - $beat, $tap];
        }
        foreach ($beats as $beat => $inBeat) {
            usort($inBeat, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
            $beats[$beat] = $inBeat;
        }

        return $beats;
    }

    /**
     * @param array<int, list<float>> $places    by beat
     * @param list<int>               $divisions
     *
     * @return array<int, array<int, float>> beat => division => its price and the distance of the taps
     */
    private function costs(array $places, array $divisions, Feel $feel): array
    {
        $reader = new BeatReader($this->tempo->beatSeconds());
        $costs = [];
        foreach ($places as $beat => $inBeat) {
            $costs[$beat] = [];
            foreach ($divisions as $division) {
                $costs[$beat][$division] = self::DIVISIONS[$division] + $reader->read($inBeat, $this->slots($division, $feel))['cost'];
            }
        }

        return $costs;
    }

    /** @return list<float> where the slots of a beat sound, in beats */
    private function slots(int $division, Feel $feel): array
    {
        $ruler = new Ruler($this->meter, $this->tempo, $feel);
        $slot = intdiv($this->meter->beatTicks(), $division);

        return array_map(static fn (int $number): float => $ruler->beatsAt($number * $slot, $division), range(0, $division - 1));
    }

    /**
     * @param non-empty-list<PlayedOnset>                                               $taps
     * @param array{cost: float, delay: int, percent: float, divisions: array<int, int>} $found
     */
    private function reading(array $taps, int $bars, Feel $feel, array $found): PatternReading
    {
        $reader = new BeatReader($this->tempo->beatSeconds());
        $beatTicks = $this->meter->beatTicks();
        $strokes = [];
        $squares = [];
        foreach ($this->beats($taps, $bars, $found['delay']) as $beat => $inBeat) {
            $division = $found['divisions'][$beat];
            $slots = $this->slots($division, $feel);
            foreach ($reader->read(array_column($inBeat, 0), $slots)['slots'] as $number => $slot) {
                if ($slot === null) {
                    continue;
                }
                [$place, $tap] = $inBeat[$number];
                $squares[] = (1000 * $this->tempo->beatSeconds() * ($place - $slots[$slot])) ** 2;
                $strokes[] = new Stroke(
                    $beat * $beatTicks + $slot * intdiv($beatTicks, $division),
                    $division,
                    direction: $tap->direction,
                    articulation: $tap->muted === true ? Articulation::Chuck : Articulation::Ring,
                );
            }
        }
        $pattern = new Pattern(
            $this->meter,
            $bars * $this->meter->barTicks(),
            [new Stream('strum', $this->fixedWhereTheHandDiffers($strokes, $bars, $feel))],
        );

        return new PatternReading(
            $pattern,
            $feel,
            (float) $found['delay'],
            sqrt(array_sum($squares) / max(1, count($squares))),
            count($taps) - count($strokes),
            $found['cost'],
        );
    }

    /**
     * A tapped direction that the school would give as well is left to it.
     *
     * @param list<Stroke> $strokes
     *
     * @return list<Stroke>
     */
    private function fixedWhereTheHandDiffers(array $strokes, int $bars, Feel $feel): array
    {
        $pattern = new Pattern($this->meter, $bars * $this->meter->barTicks(), [new Stream('strum', $strokes)]);
        $planned = $this->planner->plan(
            $pattern,
            $this->school,
            new Ruler($this->meter, $this->tempo, $feel),
            $feel,
        )->pattern->streams[0]->strokes;

        return array_map(
            static fn (Stroke $tapped, Stroke $given): Stroke => $tapped->direction === null || $tapped->direction === $given->direction
                ? $tapped->freed('direction')
                : $tapped->heldTo('direction'),
            $pattern->streams[0]->strokes,
            $planned,
        );
    }
}
