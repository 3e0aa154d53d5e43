<?php

declare(strict_types=1);

namespace Gravik\Ensemble;

/** One thing that is looked at in a band. A new one needs a class in Check/, a ClashKind, and its place in ClashReporter. */
interface Check
{
    public function kind(): ClashKind;

    /** @return ?string why it cannot be looked at in this band; null where it can */
    public function missing(Heard $heard): ?string;

    /** @return list<Clash> */
    public function find(Heard $heard): array;
}
