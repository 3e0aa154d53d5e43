<?php

declare(strict_types=1);

namespace Gravik\Harmony\Failure;

use Gravik\Harmony\ChordNotUnderstood;
use Gravik\Quote;

final class ChordWithoutRoot extends ChordNotUnderstood
{
    public function __construct(string $symbol, ?string $nearest)
    {
        parent::__construct(sprintf(
            '"%s" does not start with a note (A to G) or a numeral (I to VII).',
            Quote::short($symbol),
        ), $symbol, 0, $nearest);
    }
}
