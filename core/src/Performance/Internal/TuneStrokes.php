<?php

declare(strict_types=1);

namespace Gravik\Performance\Internal;

use Gravik\Band\BandNote;
use Gravik\Chart\ChordClock;
use Gravik\Chart\Course;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\Melody\FigureMover;
use Gravik\Neck\Melody\RiffNote;
use Gravik\Neck\Neck;
use Gravik\Performance\PlayedStroke;
use Gravik\Performance\Span;
use Gravik\Strokes\Direction;
use Gravik\Strokes\Length;
use Gravik\Strokes\Stroke;
use Gravik\Time\TimeMap;

/**
 * The lead's tune on a guitar that doubles it: bar by bar laid out near the hand that is there, down on the beat and up
 * between.
 *
 * @internal used by GuitarPart
 */
final readonly class TuneStrokes
{
    private const HARD = 0.75;

    private FigureMover $mover;

    /** @param array<int, list<BandNote>> $tune by bar of the song */
    public function __construct(
        private Neck $neck,
        private Course $course,
        private TimeMap $feel,
        private ChordClock $clock,
        private array $tune,
        private Gains $gains,
        private float $offsetMs,
    ) {
        $this->mover = new FigureMover($neck);
    }

    /**
     * @param callable(int): Voicing $gripOf chord of the course => the grip that the hand has there
     *
     * @return list<PlayedStroke> without ends
     */
    public function of(Span $span, callable $gripOf): array
    {
        $strokes = [];
        foreach ($this->course->bars as $number => $bar) {
            $struck = [];
            foreach ($bar->tick >= $span->from && $bar->tick < $span->until ? $this->tune[$number] ?? [] : [] as $note) {
                $struck[$note->tick][] = $note;
            }
            $steps = array_map(
                static fn (array $notes): array => array_map(
                    static fn (BandNote $note): RiffNote => new RiffNote(1, 0, $note->pitch),
                    $notes,
                ),
                array_values($struck),
            );
            $first = $this->clock->at($bar->tick);
            $laid = $this->mover->transposed($steps, 0, 0, $first === null ? 1 : max(1, $gripOf($first)->position));
            foreach (array_values($struck) as $step => $notes) {
                $stroke = $this->stroke($span, $number, $notes, array_values(array_filter($laid[$step])));
                array_push($strokes, ...$stroke === null ? [] : [$stroke]);
            }
        }

        return $strokes;
    }

    /**
     * @param non-empty-list<BandNote> $notes  of the tune, struck together
     * @param list<RiffNote>           $places where they lie; those that lie nowhere are left out
     */
    private function stroke(Span $span, int $bar, array $notes, array $places): ?PlayedStroke
    {
        $tick = $notes[0]->tick;
        $chord = $this->clock->at($tick);
        if ($places === [] || $chord === null) {
            return null;
        }
        $open = $this->neck->openMidi();
        $frets = array_fill(0, count($open), null);
        foreach ($places as $place) {
            $frets[count($open) - $place->string] = $place->fret;
        }
        $strings = array_keys(array_filter($frets, static fn (?int $fret): bool => $fret !== null));
        $inBar = $tick - $this->course->bars[$bar]->tick;
        $onBeat = $inBar % $this->course->bars[$bar]->meter->beatTicks() === 0;
        $stroke = new Stroke(
            $inBar,
            $notes[0]->division,
            direction: $onBeat ? Direction::Down : Direction::Up,
            accent: $notes[0]->loudness > self::HARD ? 2 : 1,
            length: Length::ofTicks(max(1, max(array_map(static fn (BandNote $note): int => $note->until, $notes)) - $tick)),
        );
        $grip = Frets::voicing($this->course->chords[$chord]->chord, $frets, $open);

        return new PlayedStroke(
            $stroke,
            $span->slotNear($tick),
            $bar,
            $tick,
            $this->feel->secondsAt($tick, $stroke->division) + $this->offsetMs / 1000,
            $chord,
            $grip,
            $onBeat ? $strings : array_reverse($strings),
            [],
            $this->gains->at($tick),
        );
    }
}
