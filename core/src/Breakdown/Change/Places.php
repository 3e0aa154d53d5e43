<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Chart\Pin;
use Gravik\Chart\Place;
use Gravik\Chart\PlacedMove;
use Gravik\Chart\VoicingLine;

/** All that is held to places of the song, taken along where places move. */
final readonly class Places
{
    /** @param callable(Place): Place $to where each place is now */
    public static function moved(Breakdown $breakdown, callable $to): Breakdown
    {
        return $breakdown->with(
            lines: array_map(static fn (VoicingLine $line): VoicingLine => $line->with(
                pins: array_map(static fn (Pin $pin): Pin => $pin->with(at: $to($pin->at)), $line->pins),
            ), $breakdown->lines),
            placed: array_map(static fn (PlacedMove $each): PlacedMove => $each->with(at: $to($each->at)), $breakdown->placed),
            played: array_map(static fn (PlacedFigure $each): PlacedFigure => $each->at($to($each->at)), $breakdown->played),
        );
    }
}
