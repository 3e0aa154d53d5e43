<?php

declare(strict_types=1);

namespace Gravik\Harmony\Failure;

use Gravik\Harmony\ChordNotUnderstood;
use Gravik\Quote;

final class ChordEndingUnknown extends ChordNotUnderstood
{
    public function __construct(string $symbol, int $at, ?string $nearest)
    {
        parent::__construct(sprintf(
            'In "%s" the part from character %d, "%s", is no chord ending we know.',
            Quote::short($symbol),
            $at + 1,
            Quote::short(mb_substr($symbol, $at)),
        ), $symbol, $at, $nearest);
    }
}
