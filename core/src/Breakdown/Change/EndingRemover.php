<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\Failure\SectionUnknown;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Chart\Ending;
use Gravik\Chart\Pin;
use Gravik\Chart\Place;
use Gravik\Chart\PlacedMove;
use Gravik\Chart\Section;
use Gravik\Chart\VoicingLine;

/** Takes an ending out, with what was held to it; where one is left, it is simply how the section ends. */
final readonly class EndingRemover
{
    /**
     * @param int $number of the ending, from 0
     *
     * @throws BreakdownNotValid where there is no such section
     */
    public function remove(Breakdown $breakdown, string $id, int $number): Breakdown
    {
        $section = array_values(array_filter($breakdown->sections, static fn (Section $each): bool => $each->id === $id))[0]
            ?? throw new SectionUnknown($id);
        $gone = static fn (Place $at): bool => $at->section === $id && $at->ending === $number;
        $endings = array_values(array_diff_key($section->endings, [$number => true]));
        $joined = count($endings) === 1;
        $bars = count($section->setting($breakdown->start)->reader()->read($section->line)->bars);
        $left = $breakdown->with(
            sections: array_map(
                static fn (Section $each): Section => $each->id === $id ? self::ending($each, $endings) : $each,
                $breakdown->sections,
            ),
            lines: array_map(static fn (VoicingLine $line): VoicingLine => $line->with(
                pins: array_values(array_filter($line->pins, static fn (Pin $pin): bool => ! $gone($pin->at))),
            ), $breakdown->lines),
            placed: array_values(array_filter($breakdown->placed, static fn (PlacedMove $each): bool => ! $gone($each->at))),
            played: array_values(array_filter($breakdown->played, static fn (PlacedFigure $each): bool => ! $gone($each->at))),
        );

        return Places::moved($left, static fn (Place $at): Place => match (true) {
            $at->section !== $id || $at->ending === null => $at,
            $joined => new Place($id, null, $bars + $at->bar, $at->tick),
            default => new Place($id, $at->ending - ($at->ending > $number ? 1 : 0), $at->bar, $at->tick),
        });
    }

    /** @param list<Ending> $endings */
    private static function ending(Section $section, array $endings): Section
    {
        return count($endings) === 1
            ? $section->with(line: rtrim($section->line, " \t|").' | '.ltrim($endings[0]->line, " \t|"), endings: [])
            : $section->with(endings: $endings);
    }
}
