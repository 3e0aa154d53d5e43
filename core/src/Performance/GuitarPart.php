<?php

declare(strict_types=1);

namespace Gravik\Performance;

use Gravik\Band\PartName;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Toolbox;
use Gravik\Chart\ChordClock;
use Gravik\Chart\PlacedApproach;
use Gravik\Chart\VoicedForm;
use Gravik\Performance\Internal\ApproachStrokes;
use Gravik\Performance\Internal\StrokeEnds;
use Gravik\Performance\Internal\ZoneStrings;
use Gravik\Strokes\ChordOf;
use Gravik\Strokes\HandPlan;
use Gravik\Time\Tempo;

/**
 * The pattern laid over the whole form: every stroke with its chord, its strings, its start and its ends. Where the hand
 * walks to a chord, the walk's grips sound in place of the pattern.
 */
final readonly class GuitarPart
{
    /** @return list<PlayedStroke> in order of time; strokes over a silent place are left out */
    public function play(Breakdown $breakdown, VoicedForm $voiced, HandPlan $hand, ?Tempo $tempo = null): array
    {
        $part = $breakdown->part(PartName::Guitar);
        $tools = Toolbox::of($breakdown);
        $ruler = $part->straight ? $tools->ruler($tempo)->straight() : $tools->ruler($tempo);
        $clock = new ChordClock($voiced->form);
        $slotTicks = $hand->pattern->slotTicks();
        $barTicks = $breakdown->meter->barTicks();
        $strokes = $hand->pattern->strokes();
        $finder = $tools->finder();
        $approaches = $breakdown->approaches === [] ? [] : $tools->approacher()->all($voiced, $breakdown->approaches);
        $walks = new ApproachStrokes($ruler, $clock, $slotTicks, $part->offsetMs);
        $placed = array_merge([], ...array_map($walks->of(...), $approaches));
        for ($start = 0; $start < $voiced->form->ticks(); $start += $hand->pattern->ticks) {
            foreach ($strokes as $stroke) {
                $tick = $start + $stroke->at;
                $chord = $tick < $voiced->form->ticks() ? $clock->at($tick) : null;
                if ($chord !== null && $stroke->chord === ChordOf::Next) {
                    $chord = $clock->after($chord);
                }
                $walksIn = array_filter($approaches, static fn (PlacedApproach $approach): bool => $approach->fromTicks <= $tick && $tick < $approach->untilTicks()) !== [];
                if ($chord === null || $walksIn) {
                    continue;
                }
                $grip = $voiced->path->voicings[$chord];
                $voicing = $stroke->chord === ChordOf::Open ? $finder->openStrings($grip->chord) : $grip;
                $strings = ZoneStrings::of($stroke, $voicing);
                if ($strings !== []) {
                    $t = $ruler->secondsAt($tick, $stroke->division) + ($stroke->offsetMs + $part->offsetMs) / 1000;
                    $placed[] = new PlayedStroke($stroke, intdiv($stroke->at, $slotTicks), intdiv($tick, $barTicks), $tick, $t, $chord, $voicing, $strings, []);
                }
            }
        }
        usort($placed, static fn (PlayedStroke $a, PlayedStroke $b): int => $a->t <=> $b->t);

        return (new StrokeEnds($ruler, $clock))->of($placed);
    }
}
