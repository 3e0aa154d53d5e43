<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Strokes\StrokesException;
use Gravik\Strokes\Written\FigureLine;
use Gravik\Time\Meter;

/** A figure as it is typed, one line a stream. */
final readonly class TypedFigure
{
    /**
     * @param non-empty-list<string> $lines
     *
     * @throws StrokesException at the word that cannot be read
     */
    public static function read(string $id, string $name, array $lines, Meter $meter, ChordSymbol $over, Key $key, RelativeTo $to): Figure
    {
        $typed = FigureLine::parse($lines, $meter);

        return new Figure($id, $name, $typed->pattern, array_map(static fn (array $byStroke): array => array_map(
            static fn (array $notes): array => array_map(static fn (array $note): FigureNote => new FigureNote(...$note), $notes),
            $byStroke,
        ), $typed->notes), $over, $key, $to);
    }

    /** @return non-empty-list<string> */
    public static function write(Figure $figure): array
    {
        return array_map(static fn (int $stream): string => FigureLine::write($figure->pattern, $stream, array_map(
            static fn (array $notes): array => array_map(
                static fn (FigureNote $note): array => [$note->string, $note->fret, $note->ornament],
                $notes,
            ),
            $figure->notes[$stream] ?? [],
        )), array_keys($figure->pattern->streams));
    }
}
