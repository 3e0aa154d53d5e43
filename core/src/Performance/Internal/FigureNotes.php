<?php

declare(strict_types=1);

namespace Gravik\Performance\Internal;

use Gravik\Band\BandNote;
use Gravik\Band\BandPart;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\FigureLayout;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Chart\ChordClock;
use Gravik\Chart\Course;
use Gravik\Chart\CourseBar;
use Gravik\Strokes\LengthKind;
use Gravik\Strokes\Stroke;

/**
 * Figures as somebody without a neck plays them: their own notes, in the octave nearest to the middle of the part's register.
 * What a figure strikes on the grip is the guitar's alone.
 *
 * @internal used by BandEvents
 */
final readonly class FigureNotes
{
    /** By accent. */
    private const LOUDNESS = [0.5, 0.65, 0.8, 0.95];

    private FigureLayout $layout;

    private ChordClock $clock;

    public function __construct(private Breakdown $breakdown, private Course $course, private BandPart $part)
    {
        $this->layout = new FigureLayout($breakdown->neck);
        $this->clock = new ChordClock($course);
    }

    /**
     * @param list<BandNote> $notes of the part's own, which give way to figures that are played instead
     *
     * @return list<BandNote>
     */
    public function over(array $notes): array
    {
        $own = array_filter($this->breakdown->played, fn (PlacedFigure $placed): bool => $placed->isPlayedBy($this->part));
        foreach ($own as $placed) {
            foreach ($this->course->bars as $bar) {
                if ($placed->beginsIn($this->course, $bar)) {
                    $from = $bar->tick + $placed->at->tick;
                    $until = $from + $placed->figure->pattern->ticks;
                    $stays = static fn (BandNote $note): bool => ! $placed->instead || $note->tick < $from || $note->tick >= $until;
                    $notes = [...array_values(array_filter($notes, $stays)), ...$this->notes($placed, $bar, $from)];
                }
            }
        }

        return $notes;
    }

    /** @return list<BandNote> */
    private function notes(PlacedFigure $placed, CourseBar $bar, int $from): array
    {
        $figure = $placed->figure;
        $chord = $this->clock->at($from);
        $pitches = $this->layout->pitches(
            $figure,
            $chord === null ? $figure->chord : $this->course->chords[$chord]->chord,
            $this->course->visits[$bar->visit]->setting->key,
        );
        $register = $this->part->register();
        $nearest = $register === null ? 0 : $register->octavesFrom(array_merge([], ...array_merge([], ...$pitches)));
        $shift = $nearest + 12 * $placed->octave;
        $notes = [];
        foreach ($figure->pattern->streams as $number => $stream) {
            foreach ($stream->strokes as $place => $stroke) {
                $next = $stream->strokes[$place + 1]->at ?? $figure->pattern->ticks;
                foreach ($pitches[$number][$place] ?? [] as $pitch) {
                    $notes[] = new BandNote(
                        $from + $stroke->at,
                        $from + $stroke->at + self::ticks($stroke, $next - $stroke->at),
                        $stroke->division,
                        max(0, min(127, $pitch + $shift)),
                        self::LOUDNESS[$stroke->accent],
                    );
                }
            }
        }

        return $notes;
    }

    private static function ticks(Stroke $stroke, int $toNext): int
    {
        return max(1, $stroke->length?->kind === LengthKind::InTicks ? min($stroke->length->ticks, $toNext) : $toNext);
    }
}
