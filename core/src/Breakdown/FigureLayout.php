<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Neck\Melody\FigureMover;
use Gravik\Neck\Melody\RiffNote;
use Gravik\Neck\Neck;

/** Where a figure's notes lie on the neck over a chord or in a key. */
final readonly class FigureLayout
{
    private const HIGHEST_HAND = 15;

    private FigureMover $mover;

    public function __construct(private Neck $neck)
    {
        $this->mover = new FigureMover($neck);
    }

    /**
     * @param int $octaves up or down from where it lies nearest to the hand
     * @param int $near    fret of the hand's first finger
     * @param list<FixedNote> $fixed
     * @param bool            $follows whether the hand goes along by as many octaves, or stays
     *
     * @return list<array<int, list<?RiffNote>>> by stream and stroke; null for a note that lies nowhere
     */
    public function of(
        Figure $figure,
        ChordSymbol $chord,
        Key $key,
        int $octaves,
        int $near,
        array $fixed = [],
        bool $follows = true,
    ): array {
        return array_map(function (array $byStroke, int $stream) use ($figure, $chord, $key, $octaves, $near, $fixed, $follows): array {
            $places = $this->fixed($figure, $stream, $fixed);
            $steps = array_map(fn (array $notes): array => array_map($this->sounding(...), $notes), array_values($byStroke));

            return array_combine(array_keys($byStroke), match ($figure->relativeTo) {
                RelativeTo::Chord => $this->mover->overChord($steps, $figure->chord, $chord, $octaves, $near, $places, $follows),
                RelativeTo::Key => $this->mover->transposed($steps, $figure->key->semitonesTo($key), $octaves, $near, $places, $follows),
            });
        }, $figure->notes, array_keys($figure->notes));
    }

    /**
     * The notes over a chord or in a key for who has no neck, in the octave in which it was typed.
     *
     * @return list<array<int, list<int>>> MIDI numbers by stream and stroke
     */
    public function pitches(Figure $figure, ChordSymbol $chord, Key $key): array
    {
        return array_map(function (array $byStroke) use ($figure, $chord, $key): array {
            $steps = array_map(fn (array $notes): array => array_map($this->sounding(...), $notes), array_values($byStroke));

            return array_combine(array_keys($byStroke), match ($figure->relativeTo) {
                RelativeTo::Chord => FigureMover::pitchesOverChord($steps, $figure->chord, $chord),
                RelativeTo::Key => FigureMover::pitchesTransposed($steps, $figure->key->semitonesTo($key)),
            });
        }, $figure->notes);
    }

    /** @return list<int> frets of the hand at which all of it lies under the fingers, each another way to play it */
    public function hands(Figure $figure, ChordSymbol $chord, Key $key, int $octaves): array
    {
        $hands = [];
        for ($near = 1; $near <= self::HIGHEST_HAND; $near++) {
            $laid = array_merge([], ...array_merge([], ...$this->of($figure, $chord, $key, $octaves, $near, [], false)));
            $cost = array_sum(array_map(fn (?RiffNote $note): int => $this->mover->cost([], [$note], $near), $laid));
            $way = implode(
                ' ',
                array_map(static fn (?RiffNote $note): string => $note === null ? '' : "{$note->string}:{$note->fret}", $laid),
            );
            if ($cost === 0 && $laid !== []) {
                $hands[$way] ??= $near;
            }
        }

        return array_values($hands);
    }

    /**
     * @param list<FixedNote> $fixed
     *
     * @return array<int, array<int, RiffNote>> by the order of the strokes that have notes, and of the note
     */
    private function fixed(Figure $figure, int $stream, array $fixed): array
    {
        $places = [];
        foreach (array_keys($figure->notes[$stream]) as $step => $stroke) {
            $tick = $figure->pattern->streams[$stream]->strokes[$stroke]->at;
            foreach ($figure->notesOf($stream, $stroke) as $order => $note) {
                foreach ($fixed as $each) {
                    if ($each->isOf($stream, $tick, $note->string)) {
                        $places[$step][$order] = $this->sounding(new FigureNote($each->string, $each->fret));
                    }
                }
            }
        }

        return $places;
    }

    private function sounding(FigureNote $note): RiffNote
    {
        $open = $this->neck->openMidi();

        return new RiffNote($note->string, $note->fret, $open[count($open) - $note->string] + $note->fret);
    }
}
