<?php

declare(strict_types=1);

namespace Gravik\Ensemble;

use Gravik\Band\Instrument;

/** Somebody in a band. */
final readonly class BandMember
{
    /** @param ?Instrument $plays null for one who has no part yet */
    public function __construct(public int $id, public ?Instrument $plays) {}
}
