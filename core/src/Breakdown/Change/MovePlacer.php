<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Breakdown\Breakdown;
use Gravik\Chart\ApproachKind;
use Gravik\Chart\FormChord;
use Gravik\Chart\Move;
use Gravik\Chart\PlacedMove;

/** Lays a way to a chord down at its place, in the stead of what was there; a move of that kind is used again. */
final readonly class MovePlacer
{
    public static function placed(Breakdown $breakdown, FormChord $chord, ApproachKind $kind, int $steps, int $slotTicks): Breakdown
    {
        $left = self::without($breakdown, $chord);
        foreach ($left->moves as $move) {
            if ([$move->kind, $move->steps, $move->slotTicks] === [$kind, $steps, $slotTicks]) {
                return $left->with(placed: [...$left->placed, new PlacedMove($move, $chord->at, $chord->chord->text())]);
            }
        }
        $move = new Move(FreeId::after('m', $left->moves), '', $kind, $steps, $slotTicks);

        return $left->with(
            moves: [...$left->moves, $move],
            placed: [...$left->placed, new PlacedMove($move, $chord->at, $chord->chord->text())],
        );
    }

    /** Takes what leads to the chord out; a move that is placed nowhere else and has no name goes with it. */
    public static function without(Breakdown $breakdown, FormChord $chord): Breakdown
    {
        $placed = array_values(array_filter($breakdown->placed, static fn (PlacedMove $each): bool => ! $each->at->equals($chord->at)));
        $used = array_map(static fn (PlacedMove $each): string => $each->move->id, $placed);

        return $breakdown->with(
            moves: array_values(array_filter(
                $breakdown->moves,
                static fn (Move $move): bool => $move->name !== '' || in_array($move->id, $used, true),
            )),
            placed: $placed,
        );
    }
}
