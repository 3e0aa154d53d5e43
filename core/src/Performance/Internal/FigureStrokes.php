<?php

declare(strict_types=1);

namespace Gravik\Performance\Internal;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Figure;
use Gravik\Breakdown\FigureLayout;
use Gravik\Breakdown\FigureNote;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Breakdown\Toolbox;
use Gravik\Chart\ChordClock;
use Gravik\Chart\Course;
use Gravik\Chart\CourseBar;
use Gravik\Chart\VoicedForm;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\Melody\RiffNote;
use Gravik\Performance\FigureTick;
use Gravik\Performance\PlayedStroke;
use Gravik\Performance\Span;
use Gravik\Strokes\ChordOf;
use Gravik\Strokes\Direction;
use Gravik\Strokes\Hand\HandPlanner;
use Gravik\Strokes\Hand\Levels;
use Gravik\Strokes\Length;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\School;
use Gravik\Strokes\Stroke;
use Gravik\Time\Feel;
use Gravik\Time\Ruler;
use Gravik\Time\TimeMap;

/**
 * The figures of a song as they are played: carried to the chord or key of their place, near the hand that is there.
 *
 * @internal used by GuitarPart
 */
final class FigureStrokes
{
    private FigureLayout $layout;

    /** @var array<string, list<array<int, list<?RiffNote>>>> what was laid out already */
    private array $laid = [];

    /** @var array<string, Pattern> with the hand's directions, by figure and section */
    private array $hands = [];

    /**
     * @param array<string, VoicedForm> $voiced by the id of the line of grips
     * @param int                       $level  1 to 3: how far figures are thinned for learning
     */
    public function __construct(
        private readonly Breakdown $breakdown,
        private readonly Course $course,
        private readonly TimeMap $map,
        private readonly ChordClock $clock,
        private readonly Gains $gains,
        private readonly array $voiced,
        private readonly float $offsetMs,
        private readonly int $level,
    ) {
        $this->layout = new FigureLayout($breakdown->neck);
    }

    /**
     * @param list<PlayedStroke> $strokes of the patterns, which give way to figures that are played instead
     * @param list<PlacedFigure> $played
     * @param list<Span>         $spans
     *
     * @return list<PlayedStroke> without ends
     */
    public function over(array $strokes, array $played, array $spans): array
    {
        $layers = [$strokes];
        /** @var array<int, list<array{int, int, int}>> $silent by bar: from, until, and the first layer that sounds there */
        $silent = [];
        foreach ($played as $placed) {
            foreach ($this->course->bars as $bar) {
                $from = $bar->tick + $placed->at->tick;
                $span = $placed->beginsIn($this->course, $bar) ? self::spanAt($spans, $from) : null;
                if ($span === null) {
                    continue;
                }
                $until = $from + $placed->figure->pattern->ticks;
                foreach ($placed->instead ? range($this->map->barAt($from), $this->map->barAt($until - 1)) : [] as $over) {
                    $silent[$over][] = [$from, $until, count($layers)];
                }
                $layers[] = $this->strokes($placed, $bar, $from, $span);
            }
        }
        $left = [];
        foreach ($layers as $layer => $each) {
            foreach ($each as $stroke) {
                if (! self::givesWay($stroke, $layer, $silent[$stroke->bar] ?? [])) {
                    $left[] = $stroke;
                }
            }
        }

        return $left;
    }

    /** @param list<array{int, int, int}> $silent in its bar: from, until, and the first layer that sounds there */
    private static function givesWay(PlayedStroke $stroke, int $layer, array $silent): bool
    {
        foreach ($silent as [$from, $until, $first]) {
            if ($layer < $first && $from <= $stroke->tick && $stroke->tick < $until) {
                return true;
            }
        }

        return false;
    }

    /** @return list<PlayedStroke> */
    private function strokes(PlacedFigure $placed, CourseBar $bar, int $from, Span $span): array
    {
        $figure = $placed->figure;
        $visit = $this->course->visits[$bar->visit];
        $ruler = $this->map->at($bar->tick)->ruler;
        $hand = $this->hands["{$figure->id} {$visit->section->id}"] ??= $this->hand($figure, $ruler, $visit->setting->feel);
        $first = $this->clock->at($from);
        $grip = $first === null ? null : $this->gripOf($span, $first);
        $notes = $this->laidOut(
            $placed,
            $first === null ? $figure->chord : $this->course->chords[$first]->chord,
            $visit->setting->key,
            $placed->near ?? $grip->position ?? 1,
        );
        $strokes = [];
        foreach ($hand->streams as $number => $stream) {
            $places = array_flip(array_map(static fn (Stroke $stroke): int => $stroke->at, $figure->pattern->streams[$number]->strokes));
            foreach ($stream->strokes as $order => $stroke) {
                $place = $places[$stroke->at];
                $tick = $from + $stroke->at;
                $chord = $this->clock->at($tick);
                if ($chord === null) {
                    continue;
                }
                $own = $figure->notesOf($number, $place);
                $of = new FigureTick($figure->id, $stroke->at, $this->map->barAt($bar->tick));
                $next = ($stream->strokes[$order + 1]->at ?? $figure->pattern->ticks) - $stroke->at;
                $strokes[] = $own === []
                    ? $this->onGrip($stroke, $span, $chord, $tick, $of, $number)
                    : $this->own($stroke, $own, $notes[$number][$place] ?? [], $span, $chord, $tick, $next, $of, $number);
            }
        }

        return array_values(array_filter($strokes));
    }

    /** Its strokes with the hand's directions, those of the level alone. */
    private function hand(Figure $figure, Ruler $ruler, Feel $feel): Pattern
    {
        $plan = (new HandPlanner())->plan($figure->pattern, School::Pendulum, $ruler, $feel);

        return (new Levels())->planned($plan, School::Pendulum, $this->level)->pattern;
    }

    private function onGrip(Stroke $stroke, Span $span, int $chord, int $tick, FigureTick $of, int $line): ?PlayedStroke
    {
        $chord = $stroke->chord === ChordOf::Next ? $this->clock->after($chord) : $chord;
        $grip = $this->gripOf($span, $chord);
        $grip = $stroke->chord === ChordOf::Open ? Toolbox::of($this->breakdown, $span->line)->finder()->openStrings($grip->chord) : $grip;
        $strings = ZoneStrings::of($stroke, $grip);

        return $strings === [] ? null : $this->played($stroke, $span, $chord, $tick, $grip, $strings, [], $of, $line);
    }

    /**
     * @param list<FigureNote> $typed
     * @param list<?RiffNote>  $laid  where they are played; null for one that lies nowhere
     * @param int              $next  ticks to the next stroke of the line, as long as a note sounds unless it says otherwise
     */
    private function own(
        Stroke $stroke,
        array $typed,
        array $laid,
        Span $span,
        int $chord,
        int $tick,
        int $next,
        FigureTick $of,
        int $line,
    ): ?PlayedStroke {
        $open = $this->breakdown->neck->openMidi();
        $frets = array_fill(0, count($open), null);
        $ornaments = [];
        foreach ($laid as $place => $note) {
            if ($note !== null) {
                $index = count($open) - $note->string;
                $frets[$index] = $note->fret;
                $ornaments[$index] = $typed[$place]->ornament ?? null;
            }
        }
        $strings = array_keys(array_filter($frets, static fn (?int $fret): bool => $fret !== null));
        if ($strings === []) {
            return null;
        }
        $strings = $stroke->direction === Direction::Up ? array_reverse($strings) : $strings;
        $voicing = Frets::voicing($this->course->chords[$chord]->chord, $frets, $open);

        return $this->played(
            $stroke->length === null ? $stroke->lasting(Length::ofTicks(max(1, $next))) : $stroke,
            $span,
            $chord,
            $tick,
            $voicing,
            $strings,
            array_filter(array_map(static fn (int $string) => $ornaments[$string], $strings)),
            $of,
            $line,
        );
    }

    /**
     * @param list<int>                            $strings
     * @param array<int, \Gravik\Strokes\Ornament> $ornaments
     */
    private function played(
        Stroke $stroke,
        Span $span,
        int $chord,
        int $tick,
        Voicing $voicing,
        array $strings,
        array $ornaments,
        FigureTick $of,
        int $line,
    ): PlayedStroke {
        return new PlayedStroke(
            $stroke,
            $span->slotNear($tick),
            $this->map->barAt($tick),
            $tick,
            $this->map->secondsAt($tick, $stroke->division) + ($stroke->offsetMs + $this->offsetMs) / 1000,
            $chord,
            $voicing,
            $strings,
            [],
            $this->gains->at($tick),
            $ornaments,
            $of,
            $line,
        );
    }

    /** @return list<array<int, list<?RiffNote>>> by stream and stroke */
    private function laidOut(PlacedFigure $placed, ChordSymbol $chord, Key $key, int $near): array
    {
        $from = $placed->near === null ? 'grip' : 'hand';
        $asked = [$placed->figure->id, $chord->text(), $key->text(), $from, $near, $placed->octave, serialize($placed->fixed)];

        return $this->laid[implode(' ', $asked)] ??= $this->layout->of(
            $placed->figure,
            $chord,
            $key,
            $placed->octave,
            $near,
            $placed->fixed,
            $placed->near === null,
        );
    }

    private function gripOf(Span $span, int $chord): Voicing
    {
        return $this->voiced[$span->line->id]->path->voicings[$this->course->chords[$chord]->written];
    }

    /** @param list<Span> $spans */
    private static function spanAt(array $spans, int $tick): ?Span
    {
        return array_values(array_filter($spans, static fn (Span $span): bool => $span->from <= $tick && $tick < $span->until))[0] ?? null;
    }
}
