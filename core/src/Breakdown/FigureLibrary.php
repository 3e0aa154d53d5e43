<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Breakdown\Failure\IdUnknown;
use Gravik\Harmony\Key;
use Gravik\Neck\Melody\FigureMover;
use Gravik\Neck\Melody\RiffNote;
use Gravik\Neck\Neck;
use Gravik\Strokes\Written\CountLine;
use Gravik\Time\Meter;

/** Figures that lead back to the top in many tunes, by rule: in any key, on any neck, near the hand. They are counted in four. */
final readonly class FigureLibrary
{
    /** The tonic they are built on lies in this octave or the one above. */
    private const LOWEST_TONIC = 52;

    /** @return array<string, array{name: string, why: string, bars: int}> by slug */
    public static function all(): array
    {
        return array_map(static fn (array $row): array => [
            'name' => $row[0],
            'why' => $row[1],
            'bars' => CountLine::parse($row[2], Meter::parse('4/4'))->bars(),
        ], self::table());
    }

    /**
     * @param int $near fret of the hand
     *
     * @throws BreakdownNotValid where there is none called so
     */
    public static function figure(string $slug, string $id, Key $key, Neck $neck, int $near): Figure
    {
        [$name, , $counted, $steps] = self::table()[$slug] ?? throw new IdUnknown('', $slug, 'turnarounds');
        $tonic = self::LOWEST_TONIC + ($key->tonic->pitchClass() - self::LOWEST_TONIC % 12 + 12) % 12;
        $own = array_filter($steps, static fn (?array $step): bool => $step !== null);
        $laid = (new FigureMover($neck))->transposed(array_map(
            static fn (array $step): array => array_map(static fn (int $above): RiffNote => new RiffNote(1, 0, $tonic + $above), $step),
            array_values($own),
        ), 0, 0, $near);

        return new Figure(
            $id,
            $name,
            CountLine::parse($counted, Meter::parse('4/4')),
            [array_combine(array_keys($own), array_map(static fn (array $notes): array => array_values(array_map(
                static fn (RiffNote $note): FigureNote => new FigureNote($note->string, $note->fret),
                array_filter($notes),
            )), $laid))],
            $key->tonicTriad(),
            $key,
            RelativeTo::Key,
        );
    }

    /** @return array<string, array{string, string, string, list<?list<int>>}> */
    private static function table(): array
    {
        /** @var array<string, array{string, string, string, list<?list<int>>}> $table */
        $table = require __DIR__.'/Data/figures.php';

        return $table;
    }
}
