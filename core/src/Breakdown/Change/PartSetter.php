<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Band\BandPart;
use Gravik\Band\Groove;
use Gravik\Band\Instrument;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\Cell;
use Gravik\Breakdown\Failure\NoGuitar;
use Gravik\Breakdown\Failure\PartUnknown;
use Gravik\Breakdown\Pass;
use Gravik\Breakdown\PlacedFigure;

/** Takes parts into the band, and out of it again with everything that was said of them. */
final readonly class PartSetter
{
    /** How loud a part comes in, so that it sits under who leads. */
    private const LEVEL = ['second-guitar' => 0.5, 'keys' => 0.5, 'horns' => 0.5, 'lead' => 0.9];

    public function add(Breakdown $breakdown, Instrument $instrument): Breakdown
    {
        $taken = array_map(static fn (BandPart $part): string => $part->id, $breakdown->parts);
        $id = in_array($instrument->value, $taken, true) ? FreeId::after($instrument->value, $breakdown->parts) : $instrument->value;
        $groove = $instrument->playsAGroove() ? self::groove($breakdown) : null;

        $joins = new BandPart($id, $instrument, self::LEVEL[$instrument->value] ?? 0.8, groove: $groove);
        $at = self::place($breakdown->parts, $instrument);

        return $breakdown->with(parts: [...array_slice($breakdown->parts, 0, $at), $joins, ...array_slice($breakdown->parts, $at)]);
    }

    /**
     * Before the first that stands later in a score.
     *
     * @param list<BandPart> $parts
     */
    private static function place(array $parts, Instrument $joins): int
    {
        $order = array_flip(array_column(Instrument::cases(), 'value'));
        foreach ($parts as $place => $part) {
            if ($order[$part->instrument->value] > $order[$joins->value]) {
                return $place;
            }
        }

        return count($parts);
    }

    /** @throws BreakdownNotValid for a part that is not there, and for the guitar */
    public function remove(Breakdown $breakdown, string $id): Breakdown
    {
        $part = array_values(array_filter($breakdown->parts, static fn (BandPart $each): bool => $each->id === $id))[0]
            ?? throw new PartUnknown($id);
        if ($part->instrument === Instrument::Guitar) {
            throw new NoGuitar();
        }
        $parts = array_values(array_filter($breakdown->parts, static fn (BandPart $each): bool => $each->id !== $id));

        return $breakdown->with(
            parts: $parts === [] ? throw new NoGuitar() : $parts,
            cells: self::without($breakdown->cells, $id),
            passes: array_map(static fn (Pass $pass): Pass => $pass->with(self::without($pass->cells, $id)), $breakdown->passes),
            played: array_values(array_filter(array_map(
                static fn (PlacedFigure $each): ?PlacedFigure => $each->withoutPart($id),
                $breakdown->played,
            ))),
        );
    }

    /**
     * @param list<Cell> $cells
     *
     * @return list<Cell>
     */
    private static function without(array $cells, string $part): array
    {
        return array_values(array_filter($cells, static fn (Cell $cell): bool => $cell->part !== $part));
    }

    /** The one that the others play, else the first of the meter. */
    private static function groove(Breakdown $breakdown): Groove
    {
        $grooves = array_filter(array_map(static fn (BandPart $part): ?Groove => $part->groove, $breakdown->parts));

        return array_values($grooves)[0] ?? Groove::defaultFor($breakdown->start->meter);
    }
}
