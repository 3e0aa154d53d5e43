<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\Cell;
use Gravik\Breakdown\Failure\PartUnknown;
use Gravik\Breakdown\Pass;
use Gravik\Breakdown\Playing;
use Gravik\Breakdown\Texture;

/**
 * The student takes the second guitar's chair, and the second guitar what the student played: strokes, grips, roles, loudness.
 * Figures and moves stay with the student. What the second guitar had by its way alone is written out, so that it can be
 * edited like any other.
 */
final readonly class SeatChanger
{
    /** @throws BreakdownNotValid where there is no second guitar */
    public function change(Breakdown $breakdown): Breakdown
    {
        $first = $breakdown->guitar();
        $second = $breakdown->guitars()[1] ?? throw new PartUnknown(Instrument::SecondGuitar->value);
        [$song, $cells] = self::writtenOut($breakdown, $second, $first->id);
        $others = static fn (Cell $cell): Cell => match ($cell->part) {
            $first->id => $cell->of($second->id),
            $second->id => $cell->of($first->id),
            default => $cell,
        };

        return $song->with(
            parts: array_map(static fn (BandPart $part): BandPart => match ($part) {
                $first => $first->placedLike($second),
                $second => $second->placedLike($first),
                default => $part,
            }, $breakdown->parts),
            cells: [
                ...$cells,
                ...self::asFirst($breakdown, $second->id),
                ...array_map($others, $breakdown->cells),
            ],
            passes: array_map(
                static fn (Pass $pass): Pass => $pass->with(array_map($others, $pass->cells)),
                $breakdown->passes,
            ),
        );
    }

    /**
     * The song with the patterns and the line that a second guitar has by its way alone.
     *
     * @return array{Breakdown, list<Cell>} and what names them for another part
     */
    private static function writtenOut(Breakdown $breakdown, BandPart $second, string $for): array
    {
        [$patterns, $lines, $cells] = [$breakdown->patterns, $breakdown->lines, []];
        foreach (self::byMeter($breakdown, $second->id) as $playing) {
            if (! in_array($playing->pattern, $patterns, true)) {
                $patterns[] = $written = $playing->pattern->as(FreeId::after('p', $patterns));
                $texture = $playing->texture === Texture::Pattern ? null : $playing->texture;
                $cells[] = new Cell($for, pattern: $written->id, texture: $texture);
            }
            if (! in_array($playing->line, $lines, true) && count($lines) === count($breakdown->lines)) {
                $lines[] = $written = $playing->line->as(FreeId::after('l', $lines));
                $cells[] = new Cell($for, line: $written->id);
            }
        }

        return [$breakdown->with(patterns: $patterns, lines: $lines), $cells];
    }

    /**
     * What names for another part the patterns and the line that the first guitar has where nothing else is said.
     *
     * @return list<Cell>
     */
    private static function asFirst(Breakdown $breakdown, string $for): array
    {
        $byMeter = [];
        foreach ($breakdown->patterns as $pattern) {
            $byMeter[$pattern->pattern->meter->text()] ??= new Cell($for, pattern: $pattern->id);
        }

        return [...array_values($byMeter), new Cell($for, line: $breakdown->lines[0]->id)];
    }

    /** @return list<Playing> that differ in meter, pattern or line */
    private static function byMeter(Breakdown $breakdown, string $part): array
    {
        $playings = [];
        foreach ($breakdown->playings($breakdown->course(), $part) as $playing) {
            $playings[$playing->pattern->pattern->meter->text().' '.$playing->pattern->id.' '.$playing->line->id] ??= $playing;
        }

        return array_values($playings);
    }
}
