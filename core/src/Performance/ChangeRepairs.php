<?php

declare(strict_types=1);

namespace Gravik\Performance;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Change\MovePlacer;
use Gravik\Breakdown\Toolbox;
use Gravik\Chart\ApproachKind;
use Gravik\Chart\FormChord;
use Gravik\Chart\Move;
use Gravik\Chart\Pin;
use Gravik\Chart\VoicingLine;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\Line\PathFinder;
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
        $span = $timeline->spanAt($window->first->tick);
        $offers = $span === null ? [] : array_filter([
            $this->shorter($breakdown, $timeline, $window),
            $this->nearer($breakdown, $timeline, $span->line, $window),
            $this->chuck($breakdown, $timeline, $window),
            $this->openStrings($breakdown, $timeline, $window),
        ]);

        return array_values(array_filter($offers, fn (Repair $offer): bool => $this->fitsThen($offer, $timeline, $window)));
    }

    private function fitsThen(Repair $offer, Timeline $timeline, ChangeWindow $window): bool
    {
        $voiced = $timeline->voiced;
        foreach ($offer->breakdown->lines as $line) {
            if ($offer->line === $line->id && $offer->grips !== null) {
                $voiced[$line->id] = Toolbox::of($offer->breakdown, $line)->voicer()->voiceWith(
                    $timeline->course->form,
                    $line->pins,
                    $offer->grips,
                );
            }
        }
        $played = $this->performer->perform($offer->breakdown, $timeline->map->first()->tempo, $voiced);
        foreach ((new ChangeWindows($offer->breakdown->neck))->of($played) as $again) {
            if ($again->first->tick === $window->first->tick) {
                return $again->fits();
            }
        }

        return true;
    }

    private function shorter(Breakdown $breakdown, Timeline $timeline, ChangeWindow $window): ?Repair
    {
        $slot = $window->first->t - $window->last->t;
        $ticks = $window->first->tick - $window->last->tick;
        $share = $slot <= 0 ? 0.0 : ($slot - $window->needMs / 1000) / $slot;
        if ($share < self::SHORTEST_SHARE || $ticks <= 0) {
            return null;
        }
        $length = Length::ofTicks(max(1, (int) floor(0.97 * $share * $ticks)));

        return $this->withLast(
            $breakdown,
            $timeline,
            $window,
            sprintf('Let the last stroke go after %d %% of its time', (int) round(97 * $share)),
            static fn (Stroke $stroke): Stroke => $stroke->lasting($length),
        );
    }

    private function chuck(Breakdown $breakdown, Timeline $timeline, ChangeWindow $window): ?Repair
    {
        return $this->withLast(
            $breakdown,
            $timeline,
            $window,
            'Make the last stroke a dead one',
            static fn (Stroke $stroke): Stroke => $stroke->articulated(Articulation::Chuck),
        );
    }

    private function openStrings(Breakdown $breakdown, Timeline $timeline, ChangeWindow $window): ?Repair
    {
        $ticks = $window->first->tick - $window->last->tick;
        $played = $timeline->course->chords[$window->chord];
        if ($ticks < Move::SHORTEST_SLOT || $ticks > Move::LONGEST_SLOT || $played->tick !== $window->first->tick) {
            return null;
        }
        $chord = $timeline->course->form->chords[$played->written];
        $placed = MovePlacer::placed($breakdown, $chord, ApproachKind::OpenStrings, 1, $ticks);

        return new Repair('Strike the open strings while the hand travels', $placed);
    }

    private function nearer(Breakdown $breakdown, Timeline $timeline, VoicingLine $line, ChangeWindow $window): ?Repair
    {
        $windows = new ChangeWindows($breakdown->neck);
        $written = $timeline->course->chords[$window->chord]->written;
        $chord = $timeline->course->form->chords[$written];
        $grips = array_map(static fn (Voicing $voicing): array => $voicing->frets, $timeline->voiced[$line->id]->path->voicings);
        foreach (Toolbox::of($breakdown, $line)->finder()->find($chord->chord, PathFinder::CANDIDATES)->best as $grip) {
            if ($windows->needMs($window->from, $grip) <= $window->haveMs) {
                // The grip it comes from is held too: else the line could take another one, and the way be long again.
                $before = $timeline->course->form->chords[$timeline->course->chords[$window->last->chord]->written];
                $others = array_values(array_filter(
                    $line->pins,
                    static fn (Pin $pin): bool => ! $pin->belongsTo($chord) && ! $pin->belongsTo($before),
                ));
                $pins = [...$others, self::pin($before, $window->from->frets), self::pin($chord, $grip->frets)];

                return new Repair(
                    "Hold {$chord->chord->text()} as {$grip->text()}, which is nearer",
                    $breakdown->withLine($line->with(pins: $pins)),
                    $line->id,
                    array_values(array_replace($grips, [$written => $grip->frets])),
                );
            }
        }

        return null;
    }

    /** @param list<int|null> $frets */
    private static function pin(FormChord $chord, array $frets): Pin
    {
        return new Pin($chord->at, $chord->chord->text(), $frets);
    }

    /** @param callable(Stroke): Stroke $changed */
    private function withLast(Breakdown $breakdown, Timeline $timeline, ChangeWindow $window, string $text, callable $changed): ?Repair
    {
        $named = $timeline->spanAt($window->last->tick)?->hand->named;
        if ($named === null) {
            return null;
        }
        $at = $window->last->stroke->at;
        $streams = array_map(static fn (Stream $stream): Stream => new Stream($stream->name, array_map(
            static fn (Stroke $stroke): Stroke => $stroke->at === $at ? $changed($stroke) : $stroke,
            $stream->strokes,
        )), $named->pattern->streams);

        return new Repair($text, $breakdown->withPattern($named->with($named->pattern->withStreams($streams))));
    }
}
