<?php

declare(strict_types=1);

namespace Gravik\Performance;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Toolbox;
use Gravik\Chart\Approach;
use Gravik\Chart\ApproachKind;
use Gravik\Chart\FormChord;
use Gravik\Chart\Pin;
use Gravik\Neck\PathFinder;
use Gravik\Neck\Voicing;
use Gravik\Strokes\Articulation;
use Gravik\Strokes\Length;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;

/** Ways to make room for a change that has too little time. Each was played out again and is offered only where the change then fits. */
final readonly class ChangeRepairs
{
    private const SHORTEST_SHARE = 0.1;

    public function __construct(private Performer $performer = new Performer()) {}

    /** @return list<Repair> the smallest change to what is heard first; none where the change fits already */
    public function of(Breakdown $breakdown, Timeline $timeline, ChangeWindow $window): array
    {
        if ($window->fits()) {
            return [];
        }
        $offers = array_filter([
            $this->shorter($breakdown, $window),
            $this->nearer($breakdown, $timeline, $window),
            $this->chuck($breakdown, $window),
            $this->openStrings($breakdown, $timeline, $window),
        ]);
        $where = $window->first->formTick;

        return array_values(array_filter($offers, function (Repair $offer) use ($where, $timeline): bool {
            $voiced = $offer->grips === null
                ? $timeline->voiced
                : Toolbox::of($offer->breakdown)->voicer()->voiceWith($timeline->voiced->form, $offer->breakdown->pins, $offer->grips);
            $played = $this->performer->perform($offer->breakdown, $timeline->ruler->tempo, $voiced);
            foreach ((new ChangeWindows($offer->breakdown->neck))->of($played) as $again) {
                if ($again->first->formTick === $where) {
                    return $again->fits();
                }
            }

            return true;
        }));
    }

    private function shorter(Breakdown $breakdown, ChangeWindow $window): ?Repair
    {
        $slot = $window->first->t - $window->last->t;
        $ticks = $window->first->formTick - $window->last->formTick;
        $share = $slot <= 0 ? 0.0 : ($slot - $window->needMs / 1000) / $slot;
        if ($share < self::SHORTEST_SHARE || $ticks <= 0) {
            return null;
        }
        $length = Length::ofTicks(max(1, (int) floor(0.97 * $share * $ticks)));

        return new Repair(sprintf('Let the last stroke go after %d %% of its time', (int) round(97 * $share)), $this->withStroke($breakdown, $window, static fn (Stroke $stroke): Stroke => $stroke->lasting($length)));
    }

    private function chuck(Breakdown $breakdown, ChangeWindow $window): Repair
    {
        return new Repair('Make the last stroke a dead one', $this->withStroke($breakdown, $window, static fn (Stroke $stroke): Stroke => $stroke->articulated(Articulation::Chuck)));
    }

    private function openStrings(Breakdown $breakdown, Timeline $timeline, ChangeWindow $window): ?Repair
    {
        $ticks = $window->first->formTick - $window->last->formTick;
        $chord = $timeline->voiced->form->chords[$window->chord];
        if ($ticks < Approach::SHORTEST_SLOT || $ticks > Approach::LONGEST_SLOT || $chord->formTicks !== $window->first->formTick) {
            return null;
        }
        $approach = new Approach($chord->section, $chord->bar, $chord->at, $chord->chord->text(), ApproachKind::OpenStrings, 1, $ticks);

        return new Repair('Strike the open strings while the hand travels', $breakdown->with(approaches: [...$breakdown->approaches, $approach]));
    }

    private function nearer(Breakdown $breakdown, Timeline $timeline, ChangeWindow $window): ?Repair
    {
        $windows = new ChangeWindows($breakdown->neck);
        $chord = $timeline->voiced->form->chords[$window->chord];
        $grips = array_map(static fn (Voicing $voicing): array => $voicing->frets, $timeline->voiced->path->voicings);
        foreach (Toolbox::of($breakdown)->finder()->find($chord->chord, PathFinder::CANDIDATES)->best as $grip) {
            if ($windows->needMs($window->from, $grip) <= $window->haveMs) {
                // The grip it comes from is held too: else the line could take another one, and the way be long again.
                $before = $timeline->voiced->form->chords[$window->last->chord];
                $others = array_values(array_filter($breakdown->pins, static fn (Pin $pin): bool => ! $pin->belongsTo($chord) && ! $pin->belongsTo($before)));
                $pins = [...$others, self::pin($before, $window->from->frets), self::pin($chord, $grip->frets)];

                return new Repair("Hold {$chord->chord->text()} as {$grip->text()}, which is nearer", $breakdown->with(pins: $pins), array_values(array_replace($grips, [$window->chord => $grip->frets])));
            }
        }

        return null;
    }

    /** @param list<int|null> $frets */
    private static function pin(FormChord $chord, array $frets): Pin
    {
        return new Pin($chord->section, $chord->bar, $chord->at, $chord->chord->text(), $frets);
    }

    /** @param callable(Stroke): Stroke $changed */
    private function withStroke(Breakdown $breakdown, ChangeWindow $window, callable $changed): Breakdown
    {
        $at = $window->last->stroke->at;
        $streams = array_map(static fn (Stream $stream): Stream => new Stream($stream->name, array_map(
            static fn (Stroke $stroke): Stroke => $stroke->at === $at ? $changed($stroke) : $stroke,
            $stream->strokes,
        )), $breakdown->pattern->streams);

        return $breakdown->with(pattern: $breakdown->pattern->withStreams($streams));
    }
}
