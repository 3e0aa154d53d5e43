<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Internal;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Figure;
use Gravik\Breakdown\FigureNote;
use Gravik\Breakdown\Mark;
use Gravik\Breakdown\Marked;
use Gravik\Breakdown\MarkedValue;
use Gravik\Breakdown\MarkKind;
use Gravik\Breakdown\MarkReader;
use Gravik\Breakdown\Remark;
use Gravik\Breakdown\RemarkKind;
use Gravik\Strokes\Counting;

/**
 * Notes of a figure that are struck together and are none of its chord. A single one passes; several sound like a slip.
 *
 * @internal used by Proofreader
 */
final readonly class OffChordDyads
{
    /** @return list<Remark> one for each figure that has such notes */
    public static function read(Breakdown $breakdown, MarkReader $marks): array
    {
        $remarks = [];
        foreach ($breakdown->figures as $figure) {
            $value = new MarkedValue(Marked::Figure, 'notes', $figure->id);
            $off = $marks->isColour($value) ? [] : self::off($breakdown, $figure);
            if ($off !== []) {
                $remarks[] = new Remark(RemarkKind::OffChord, null, sprintf(
                    'In “%s” what is struck together on %s is none of %s. Is it meant as colour?',
                    $figure->name,
                    implode(', ', $off),
                    $figure->chord->text(),
                ), [[
                    'text' => 'It is meant as colour',
                    'breakdown' => $breakdown->with(marks: [...$breakdown->marks, new Mark($value, MarkKind::Colour)]),
                ]]);
            }
        }

        return $remarks;
    }

    /** @return list<string> the notes and where they stand: F and A on 2& */
    private static function off(Breakdown $breakdown, Figure $figure): array
    {
        $open = array_reverse($breakdown->neck->tuning->openMidi($breakdown->neck->capo));
        $found = [];
        foreach ($figure->notes as $stream => $byStroke) {
            foreach ($byStroke as $stroke => $notes) {
                $midi = array_map(static fn (FigureNote $note): int => ($open[$note->string - 1] ?? 0) + $note->fret, $notes);
                $outside = array_filter($midi, static fn (int $each): bool => ! $figure->chord->has($each));
                if (count($midi) > 1 && count($outside) === count($midi)) {
                    $found[] = sprintf(
                        '%s (%s)',
                        Counting::place($figure->pattern, $figure->pattern->streams[$stream]->strokes[$stroke]->at),
                        implode(' and ', array_map(static fn (int $each): string => $figure->chord->spell($each % 12)->text(), $midi)),
                    );
                }
            }
        }

        return $found;
    }
}
