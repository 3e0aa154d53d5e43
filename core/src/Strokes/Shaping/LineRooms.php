<?php

declare(strict_types=1);

namespace Gravik\Strokes\Shaping;

use Gravik\Strokes\Articulation;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;

/** Where a line of a pattern rests long enough for a chord to be put in: at least a beat (a rule of thumb). */
final readonly class LineRooms
{
    public function __construct(private Pattern $pattern) {}

    /**
     * @param int $line from 0
     *
     * @return list<array{int, int}> ticks from, until: after the last note's own slot, up to the next note or the end
     */
    public function of(int $line): array
    {
        $beat = $this->pattern->meter->beatTicks();
        $rooms = [];
        $from = 0;
        $starts = array_map(static fn (Stroke $stroke): int => $stroke->at, $this->pattern->streams[$line]->strokes ?? []);
        foreach ([...$starts, $this->pattern->ticks] as $place => $until) {
            if ($until - $from >= $beat) {
                $rooms[] = [$from, $until];
            }
            $from = $until + intdiv($beat, $this->pattern->streams[$line]->strokes[$place]->division ?? 1);
        }

        return $rooms;
    }

    /**
     * A second line of short chords, one off the beat in every room: on the second half of a beat, the last third of a dotted
     * one or of thirds.
     */
    public function punctuation(int $line): Stream
    {
        $beat = $this->pattern->meter->beatTicks();
        $thirds = $this->pattern->meter->isCompound() || array_filter(
            $this->pattern->streams[$line]->strokes ?? [],
            static fn (Stroke $stroke): bool => $stroke->division % 3 === 0,
        ) !== [];
        [$division, $off] = $thirds ? [3, intdiv(2 * $beat, 3)] : [2, intdiv($beat, 2)];
        $strokes = [];
        foreach ($this->of($line) as [$from, $until]) {
            $at = intdiv(max(0, $from - $off + $beat - 1), $beat) * $beat + $off;
            $strokes[] = $at < $until ? new Stroke($at, $division, articulation: Articulation::Short) : null;
        }

        return new Stream('chords', array_values(array_filter($strokes)));
    }
}
