<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Band\BandPart;
use Gravik\Band\Tune;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\Failure\PartUnknown;

/** Gives a lead a tune, in the passes in which it played the one before. */
final readonly class TuneSetter
{
    /** @throws BreakdownNotValid where there is no such part */
    public function set(Breakdown $breakdown, string $id, Tune $tune): Breakdown
    {
        $found = array_values(array_filter($breakdown->parts, static fn (BandPart $part): bool => $part->id === $id))[0]
            ?? throw new PartUnknown($id);

        return $breakdown->with(parts: array_map(
            static fn (BandPart $part): BandPart => $part === $found
                ? $part->playing($tune->in($part->tune === null ? $tune->passes : $part->tune->passes))
                : $part,
            $breakdown->parts,
        ));
    }
}
