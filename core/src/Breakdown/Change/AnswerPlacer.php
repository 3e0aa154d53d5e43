<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Breakdown\AnswerFigure;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\Failure\NoRoomForAnswer;
use Gravik\Breakdown\Figure;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Chart\Place;

/** Call and response over some bars of a pass: the figure, a varied answer, the figure again. */
final readonly class AnswerPlacer
{
    /**
     * @param int $bars of the section from the place on
     *
     * @throws BreakdownNotValid where the bars have no room for the figure and its answer
     */
    public function place(Breakdown $breakdown, Figure $call, Place $from, int $bars, string $pass): Breakdown
    {
        $length = $call->pattern->bars();
        if ($bars < 2 * $length) {
            throw new NoRoomForAnswer($bars, 2 * $length);
        }
        $known = array_values(array_filter(
            $breakdown->figures,
            static fn (Figure $each): bool => $each->name === AnswerFigure::named($call) && $each->id !== $call->id,
        ))[0] ?? null;
        $answer = $known ?? (new AnswerFigure($breakdown->neck))->to($call, FreeId::after('f', $breakdown->figures));
        $changed = $known === null ? (new FigureKeeper())->keep($breakdown, $answer) : $breakdown;
        for ($cell = 0; ($cell + 1) * $length <= $bars; $cell++) {
            $at = new Place($from->section, $from->ending, $from->bar + $cell * $length, 0);
            $changed = (new FigurePlacer())->place($changed, new PlacedFigure($cell % 2 === 0 ? $call : $answer, $at, [$pass]));
        }

        return $changed;
    }
}
