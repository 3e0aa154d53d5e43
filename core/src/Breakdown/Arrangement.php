<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Band\BandPart;
use Gravik\Chart\VoicingLine;
use Gravik\Strokes\NamedPattern;

/** One part, arranged twice: with the band, whose gaps stay gaps, and alone, where bass and gaps are filled. */
enum Arrangement: string
{
    case WithBand = 'with-band';
    case Alone = 'alone';

    /** The breakdown as it is played so. */
    public function of(Breakdown $breakdown): Breakdown
    {
        return match ($this) {
            self::WithBand => $breakdown,
            self::Alone => self::alone($breakdown),
        };
    }

    public function pattern(Breakdown $breakdown, NamedPattern $pattern): NamedPattern
    {
        return match ($this) {
            self::WithBand => $pattern,
            self::Alone => self::standIn($breakdown->patterns, $pattern),
        };
    }

    public function line(Breakdown $breakdown, VoicingLine $line): VoicingLine
    {
        return match ($this) {
            self::WithBand => $line,
            self::Alone => self::standIn($breakdown->lines, $line),
        };
    }

    /** Stand-ins take the places of what they stand in for; nobody else plays. */
    private static function alone(Breakdown $breakdown): Breakdown
    {
        $guitar = $breakdown->guitar();
        $patterns = array_map(
            static fn (NamedPattern $each): NamedPattern => self::standIn($breakdown->patterns, $each),
            $breakdown->patterns,
        );
        $lines = array_map(static fn (VoicingLine $each): VoicingLine => self::standIn($breakdown->lines, $each), $breakdown->lines);
        $own = static fn (Cell $cell): Cell => $cell->playing(
            $cell->pattern === null ? null : self::named($patterns, $breakdown->patterns, $cell->pattern),
            $cell->line === null ? null : self::named($lines, $breakdown->lines, $cell->line),
        );

        return $breakdown->with(
            patterns: array_map(static fn (NamedPattern $each): NamedPattern => $each->standingFor(null), self::once($patterns)),
            lines: array_map(static fn (VoicingLine $each): VoicingLine => $each->standingFor(null), self::once($lines)),
            parts: [$guitar],
            passes: array_map(
                static fn (Pass $pass): Pass => $pass->with(array_map($own, self::cellsOf($pass->cells, $guitar))),
                $breakdown->passes,
            ),
            cells: array_map($own, self::cellsOf($breakdown->cells, $guitar)),
            played: self::figures($breakdown, $guitar),
        );
    }

    /**
     * @param list<Cell> $cells
     *
     * @return list<Cell>
     */
    private static function cellsOf(array $cells, BandPart $part): array
    {
        return array_values(array_filter($cells, static fn (Cell $each): bool => $each->part === $part->id));
    }

    /** @return list<PlacedFigure> */
    private static function figures(Breakdown $breakdown, BandPart $guitar): array
    {
        $left = [];
        foreach ($breakdown->played as $each) {
            foreach (array_diff($each->parts ?? [], [$guitar->id]) as $part) {
                $each = $each?->withoutPart($part);
            }
            $left = $each === null ? $left : [...$left, $each];
        }

        return $left;
    }

    /**
     * @template T of NamedPattern|VoicingLine
     *
     * @param list<T> $all
     * @param T       $one
     *
     * @return T
     */
    private static function standIn(array $all, NamedPattern|VoicingLine $one): NamedPattern|VoicingLine
    {
        foreach ($all as $each) {
            if ($each->aloneOf === $one->id) {
                return $each;
            }
        }

        return $one;
    }

    /**
     * @template T of NamedPattern|VoicingLine
     *
     * @param list<T> $played one for each of
     * @param list<T> $all
     */
    private static function named(array $played, array $all, string $id): string
    {
        foreach ($all as $place => $each) {
            if ($each->id === $id) {
                return $played[$place]->id;
            }
        }

        return $id;
    }

    /**
     * @template T of NamedPattern|VoicingLine
     *
     * @param non-empty-list<T> $list
     *
     * @return non-empty-list<T> each where it comes first
     */
    private static function once(array $list): array
    {
        $byId = [];
        foreach ($list as $each) {
            $byId[$each->id] ??= $each;
        }

        return array_values($byId);
    }
}
