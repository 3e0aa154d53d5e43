<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\MovedBreakdown;
use Gravik\Chart\Pin;
use Gravik\Neck\Neck;

/** Puts the capo elsewhere: pinned grips keep sounding as they do, where the neck lets them. */
final readonly class CapoMover
{
    public function move(Breakdown $breakdown, int $capo): MovedBreakdown
    {
        $neck = new Neck($breakdown->neck->tuning, $capo);

        return MovedBreakdown::of(
            (new FigureFitter())->onto($breakdown, $neck),
            static fn (Pin $pin): ?Pin => $pin->shifted($breakdown->neck->capo - $capo),
        );
    }
}
