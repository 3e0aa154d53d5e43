<?php

declare(strict_types=1);

namespace Gravik\Performance;

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Band\Role;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Breakdown\Texture;
use Gravik\Breakdown\Toolbox;
use Gravik\Chart\ChordClock;
use Gravik\Chart\Course;
use Gravik\Chart\PlacedApproach;
use Gravik\Chart\VoicedForm;
use Gravik\Neck\Grip\Voicing;
use Gravik\Performance\Internal\ApproachStrokes;
use Gravik\Performance\Internal\FigureStrokes;
use Gravik\Performance\Internal\FourToTheBar;
use Gravik\Performance\Internal\Gains;
use Gravik\Performance\Internal\RingingStrokes;
use Gravik\Performance\Internal\RoleStrings;
use Gravik\Performance\Internal\StrokeEnds;
use Gravik\Performance\Internal\TuneStrokes;
use Gravik\Performance\Internal\ZoneStrings;
use Gravik\Strokes\ChordOf;
use Gravik\Strokes\Hand\Levels;
use Gravik\Strokes\Stroke;
use Gravik\Time\TimeMap;

/**
 * The patterns laid over the whole song: every stroke with its chord, its strings, its start and its ends. Where the hand
 * walks to a chord, the walk's grips sound in place of the pattern.
 */
final readonly class GuitarPart
{
    /**
     * @param BandPart                  $part   a guitar
     * @param array<string, VoicedForm> $voiced by the id of the line of grips
     * @param list<Span>                $spans
     * @param int                       $level  1 to 3: how far figures are thinned for learning; spans are already
     *
     * @return list<PlayedStroke> in order of time; strokes over a silent place are left out
     */
    public function play(
        Breakdown $breakdown,
        BandPart $part,
        Course $course,
        TimeMap $map,
        array $voiced,
        array $spans,
        int $level = Levels::HIGHEST,
    ): array {
        $feel = $part->straight ? $map->straight() : $map;
        $clock = new ChordClock($course, self::changesOfLine($spans));
        $gains = new Gains($course, $feel, self::dynamics($course, $spans));
        $placed = [];
        $doubles = array_filter($spans, static fn (Span $span): bool => $span->role === Role::Doubles) !== [];
        $notes = $doubles ? $breakdown->tune($course) : [];
        $tune = new TuneStrokes($breakdown->neck, $course, $feel, $clock, $notes, $gains, $part->offsetMs);
        foreach ($spans as $span) {
            $grips = $voiced[$span->line->id]->path->voicings;
            array_push(
                $placed,
                ...$span->role === Role::Doubles
                    ? $tune->of($span, static fn (int $chord): Voicing => $grips[$course->chords[$chord]->written])
                    : $this->span($breakdown, $course, $feel, $clock, $voiced[$span->line->id], $span, $part, $gains),
            );
        }
        $played = array_values(array_filter($breakdown->played, static fn (PlacedFigure $each): bool => $each->isPlayedBy($part)));
        if ($played !== []) {
            $figures = new FigureStrokes($breakdown, $course, $feel, $clock, $gains, $voiced, $part->offsetMs, $level);
            $placed = $figures->over($placed, $played, $spans);
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
        BandPart $part,
        Gains $gains,
    ): array {
        $tools = Toolbox::of($breakdown, $span->line);
        $moves = $part->instrument === Instrument::Guitar ? $breakdown->placed : [];
        $approaches = $moves === [] ? [] : $tools->approacher()->all($course, $voiced, $moves);
        $begun = array_filter(
            $approaches,
            static fn (PlacedApproach $each): bool => $each->fromTicks >= $span->from && $each->fromTicks < $span->until,
        );
        $slotTicks = $span->hand->plan->pattern->slotTicks();
        $walks = new ApproachStrokes($feel, $clock, $slotTicks, $span->hand->firstSlot, $part->offsetMs, $gains);
        $placed = array_merge([], ...array_map($walks->of(...), array_values($begun)));
        foreach ($this->strokes($span, $course) as [$tick, $stroke, $line]) {
            $chord = $clock->at($tick);
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
            $voicing = $stroke->chord === ChordOf::Open ? $tools->finder()->openStrings($grip->chord) : $grip;
            $strings = RoleStrings::of($span->role, ZoneStrings::of($stroke, $voicing), $voicing);
            if ($strings !== []) {
                $t = $feel->secondsAt($tick, $stroke->division) + ($stroke->offsetMs + $part->offsetMs) / 1000;
                $slot = $span->slotNear($tick);
                $placed[] = new PlayedStroke(
                    $stroke,
                    $slot,
                    $feel->barAt($tick),
                    $tick,
                    $t,
                    $chord,
                    $voicing,
                    $strings,
                    [],
                    $gains->at($tick),
                    line: $line,
                );
            }
        }

        return $placed;
    }

    /** @return list<array{int, Stroke, int}> tick by tick, with its line: the pattern's, or what the texture or role asks in its place */
    private function strokes(Span $span, Course $course): array
    {
        if ($span->texture === Texture::Rings || $span->role === Role::Passive) {
            return RingingStrokes::of($span, $course);
        }
        if ($span->role === Role::Four) {
            return FourToTheBar::of($span, $course);
        }
        $pattern = $span->hand->plan->pattern;
        $inPattern = [];
        foreach ($pattern->streams as $line => $stream) {
            $inPattern = [...$inPattern, ...array_map(static fn (Stroke $stroke): array => [$stroke, $line], $stream->strokes)];
        }
        usort($inPattern, static fn (array $a, array $b): int => $a[0]->at <=> $b[0]->at);
        $strokes = [];
        for ($start = $span->from - $span->inPattern($span->from); $start < $span->until; $start += $pattern->ticks) {
            foreach ($inPattern as [$stroke, $line]) {
                $tick = $start + $stroke->at;
                if ($tick >= $span->from && $tick < $span->until) {
                    $strokes[] = [$tick, $stroke, $line];
                }
            }
        }

        return $strokes;
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

    /**
     * @param list<Span> $spans
     *
     * @return list<int> one for each bar of the course
     */
    private static function dynamics(Course $course, array $spans): array
    {
        $dynamics = [];
        $place = 0;
        foreach ($course->bars as $bar) {
            while (isset($spans[$place]) && $spans[$place]->until <= $bar->tick) {
                $place++;
            }
            $dynamics[] = isset($spans[$place]) && $spans[$place]->from <= $bar->tick ? $spans[$place]->dynamic : 0;
        }

        return $dynamics;
    }
}
