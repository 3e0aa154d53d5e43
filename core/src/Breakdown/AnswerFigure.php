<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Neck\Melody\FigureMover;
use Gravik\Neck\Melody\RiffNote;
use Gravik\Neck\Neck;
use Gravik\Strokes\Articulation;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;

/**
 * A varied answer to a figure, to begin from (a rule of thumb): the same rhythm, and its last note comes home to the chord's
 * root, or to its fifth where it ended on the root already. Strokes on the grip answer after the one and end short and hard.
 */
final readonly class AnswerFigure
{
    private const FIFTH = 7;

    public function __construct(private Neck $neck) {}

    public function to(Figure $call, string $id): Figure
    {
        $pattern = $call->pattern;
        $notes = $call->notes;
        $with = array_keys($notes[0] ?? []);
        $last = end($with);
        if ($last === false) {
            $pattern = $pattern->withStreams(array_map(self::strokes(...), $pattern->streams));
        } else {
            $notes[0][$last] = $this->home($call, $notes[0][$last]);
        }

        return new Figure($id, self::named($call), $pattern, $notes, $call->chord, $call->key, $call->relativeTo);
    }

    public static function named(Figure $call): string
    {
        return mb_substr('answer to '.($call->name === '' ? $call->id : $call->name), 0, Figure::LONGEST_NAME);
    }

    /**
     * @param list<FigureNote> $struck
     *
     * @return list<FigureNote>
     */
    private function home(Figure $call, array $struck): array
    {
        $open = $this->neck->openMidi();
        $from = $struck[0];
        $midi = $open[count($open) - $from->string] + $from->fret;
        $root = $call->chord->rootPitchClass();
        $to = $midi + self::nearest($midi % 12, $midi % 12 === $root ? $root + self::FIFTH : $root);
        $laid = (new FigureMover($this->neck))->transposed(
            [[new RiffNote($from->string, $from->fret, $to)]],
            0,
            0,
            max(1, $from->fret - 1),
        )[0][0] ?? null;

        return $laid === null ? $struck : [new FigureNote($laid->string, $laid->fret)];
    }

    /** Semitones from one pitch class to another, −5 to 6. */
    private static function nearest(int $from, int $to): int
    {
        return ($to - $from + 17) % 12 - 5;
    }

    private static function strokes(Stream $stream): Stream
    {
        $strokes = count($stream->strokes) > 1 && $stream->strokes[0]->at === 0 ? array_slice($stream->strokes, 1) : $stream->strokes;
        $last = array_pop($strokes);

        return new Stream($stream->name, [
            ...$strokes,
            ...($last === null ? [] : [$last->articulated(Articulation::Short)->accented(Stroke::STRONGEST_ACCENT - 1)]),
        ]);
    }
}
