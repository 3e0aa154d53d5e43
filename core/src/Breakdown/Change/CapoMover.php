<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\MovedBreakdown;
use Gravik\Neck\Neck;

/** Puts the capo elsewhere: pinned grips keep sounding as they do, where the neck lets them. */
final readonly class CapoMover
{
    public function move(Breakdown $breakdown, int $capo): MovedBreakdown
    {
        $pins = [];
        $dropped = [];
        foreach ($breakdown->pins as $pin) {
            $moved = $pin->shifted($breakdown->neck->capo - $capo);
            $moved === null ? $dropped[] = $pin : $pins[] = $moved;
        }

        return new MovedBreakdown($breakdown->with(neck: new Neck($breakdown->neck->tuning, $capo), pins: $pins), $dropped);
    }
}
