<?php

declare(strict_types=1);

namespace Gravik\Performance;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Toolbox;
use Gravik\Chart\ChordClock;
use Gravik\Chart\Course;
use Gravik\Chart\PlacedApproach;
use Gravik\Chart\VoicedForm;
use Gravik\Performance\Internal\ApproachStrokes;
use Gravik\Performance\Internal\StrokeEnds;
use Gravik\Performance\Internal\ZoneStrings;
use Gravik\Strokes\ChordOf;
use Gravik\Time\TimeMap;

/**
 * The patterns laid over the whole song: every stroke with its chord, its strings, its start and its ends. Where the hand
 * walks to a chord, the walk's grips sound in place of the pattern.
 */
final readonly class GuitarPart
{
    /**
     * @param array<string, VoicedForm> $voiced by the id of the line of grips
     * @param list<Span>                $spans
     *
     * @return list<PlayedStroke> in order of time; strokes over a silent place are left out
     */
    public function play(Breakdown $breakdown, Course $course, TimeMap $map, array $voiced, array $spans): array
    {
        $part = $breakdown->guitar();
        $feel = $part->straight ? $map->straight() : $map;
        $clock = new ChordClock($course, self::changesOfLine($spans));
        $placed = [];
        foreach ($spans as $span) {
            array_push($placed, ...$this->span($breakdown, $course, $feel, $clock, $voiced[$span->line->id], $span, $part->offsetMs));
        }
        usort($placed, static fn (PlayedStroke $a, PlayedStroke $b): int => $a->t <=> $b->t);

        return (new StrokeEnds($feel, $clock))->of($placed);
    }

    /** @return list<PlayedStroke> without ends: the walks first, then the pattern's strokes */
    private function span(
        Breakdown $breakdown,
        Course $course,
        TimeMap $feel,
        ChordClock $clock,
        VoicedForm $voiced,
        Span $span,
        float $offsetMs,
    ): array {
        $pattern = $span->hand->plan->pattern;
        $slotTicks = $pattern->slotTicks();
        $tools = Toolbox::of($breakdown, $span->line);
        $finder = $tools->finder();
        $approaches = $breakdown->placed === [] ? [] : $tools->approacher()->all($course, $voiced, $breakdown->placed);
        $begun = array_filter(
            $approaches,
            static fn (PlacedApproach $each): bool => $each->fromTicks >= $span->from && $each->fromTicks < $span->until,
        );
        $walks = new ApproachStrokes($feel, $clock, $slotTicks, $span->hand->firstSlot, $offsetMs);
        $placed = array_merge([], ...array_map($walks->of(...), array_values($begun)));
        for ($start = $span->from; $start < $span->until; $start += $pattern->ticks) {
            foreach ($pattern->strokes() as $stroke) {
                $tick = $start + $stroke->at;
                $chord = $tick < $span->until ? $clock->at($tick) : null;
                if ($chord !== null && $stroke->chord === ChordOf::Next) {
                    $chord = $clock->after($chord);
                }
                $walksIn = array_filter(
                    $approaches,
                    static fn (PlacedApproach $approach): bool => $approach->fromTicks <= $tick && $tick < $approach->untilTicks(),
                ) !== [];
                if ($chord === null || $walksIn) {
                    continue;
                }
                $grip = $voiced->path->voicings[$course->chords[$chord]->written];
                $voicing = $stroke->chord === ChordOf::Open ? $finder->openStrings($grip->chord) : $grip;
                $strings = ZoneStrings::of($stroke, $voicing);
                if ($strings !== []) {
                    $t = $feel->secondsAt($tick, $stroke->division) + ($stroke->offsetMs + $offsetMs) / 1000;
                    $slot = $span->hand->firstSlot + intdiv($stroke->at, $slotTicks);
                    $placed[] = new PlayedStroke($stroke, $slot, $feel->barAt($tick), $tick, $t, $chord, $voicing, $strings, []);
                }
            }
        }

        return $placed;
    }

    /**
     * @param list<Span> $spans
     *
     * @return list<int> ticks at which another line of grips begins
     */
    private static function changesOfLine(array $spans): array
    {
        $changes = [];
        foreach (array_slice($spans, 1) as $place => $span) {
            if ($span->line->id !== $spans[$place]->line->id) {
                $changes[] = $span->from;
            }
        }

        return $changes;
    }
}
