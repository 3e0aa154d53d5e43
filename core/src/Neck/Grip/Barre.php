<?php

declare(strict_types=1);

namespace Gravik\Neck\Grip;

/** One finger across strings at a fret, from the lower-sounding string number to the higher-sounding one. */
final readonly class Barre
{
    public function __construct(public int $fret, public int $from, public int $to) {}
}
