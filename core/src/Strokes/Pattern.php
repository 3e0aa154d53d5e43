<?php

declare(strict_types=1);

namespace Gravik\Strokes;

use Gravik\Strokes\Failure\PatternLengthNotWhole;
use Gravik\Strokes\Failure\StrokeOffTheGrid;
use Gravik\Strokes\Failure\StrokeOutsidePattern;
use Gravik\Strokes\Failure\StrokeValueOutOfRange;
use Gravik\Time\Meter;

/** One to four bars of strokes in one or two streams, repeated through the form. */
final readonly class Pattern
{
    private const MOST_BARS = 4;

    /** The smallest division of the beat that holds every stroke; asked for at every stroke that is played. */
    private int $grid;

    /** @param non-empty-list<Stream> $streams one or two */
    public function __construct(public Meter $meter, public int $ticks, public array $streams)
    {
        $bar = $meter->barTicks();
        if ($ticks < $bar || $ticks % $bar !== 0 || $ticks > self::MOST_BARS * $bar) {
            throw new PatternLengthNotWhole($ticks, $bar);
        }
        if (count($streams) > 2) {
            throw new StrokeValueOutOfRange('pattern', 'has one or two streams.');
        }
        $grid = 1;
        foreach ($this->strokes() as $stroke) {
            if ($stroke->at < 0 || $stroke->at >= $ticks) {
                throw new StrokeOutsidePattern(
                    $stroke->at,
                    intdiv($stroke->at, $bar) + 1,
                    intdiv($stroke->at % $bar, $meter->beatTicks()) + 1,
                    intdiv($ticks, $bar),
                );
            }
            if ($stroke->at * $stroke->division % $meter->beatTicks() !== 0) {
                throw new StrokeOffTheGrid($stroke->at, $stroke->division);
            }
            $grid = self::leastCommonMultiple($grid, $stroke->division);
        }
        $this->grid = $grid;
    }

    /** @return list<Stroke> of all streams, in order of time */
    public function strokes(): array
    {
        $all = array_merge(...array_map(static fn (Stream $stream): array => $stream->strokes, $this->streams));
        usort($all, static fn (Stroke $a, Stroke $b): int => $a->at <=> $b->at);

        return $all;
    }

    public function bars(): int
    {
        return intdiv($this->ticks, $this->meter->barTicks());
    }

    /** Slots are counted on it. */
    public function grid(): int
    {
        return $this->grid;
    }

    /**
     * How a beat is written: as finely as its own strokes need. A beat that they do not divide goes with the rest of the
     * pattern, in halves (thirds in dotted beats) where others divide theirs in several ways.
     *
     * @param int $beat from 0
     */
    public function divisionOfBeat(int $beat): int
    {
        $beatTicks = $this->meter->beatTicks();
        $needed = 1;
        foreach ($this->strokes() as $stroke) {
            if (intdiv($stroke->at, $beatTicks) === $beat && $stroke->at % $beatTicks !== 0) {
                $needed = self::leastCommonMultiple($needed, $stroke->division);
            }
        }
        $grid = $this->grid();

        return $needed > 1 ? $needed : (in_array($grid, [1, 2, 3, 4], true) ? $grid : ($this->meter->isCompound() ? 3 : 2));
    }

    public function slotTicks(): int
    {
        return intdiv($this->meter->beatTicks(), $this->grid());
    }

    /** @param list<Stream> $streams */
    public function withStreams(array $streams): self
    {
        return $streams === [] ? $this : new self($this->meter, $this->ticks, $streams);
    }

    private static function leastCommonMultiple(int $a, int $b): int
    {
        [$x, $y] = [$a, $b];
        while ($y !== 0) {
            [$x, $y] = [$y, $x % $y];
        }

        return intdiv($a * $b, $x);
    }
}
