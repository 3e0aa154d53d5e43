<?php

declare(strict_types=1);

namespace Gravik\Harmony\Failure;

use Gravik\Harmony\ChordNotUnderstood;
use Gravik\Quote;

final class ChordContradiction extends ChordNotUnderstood
{
    public function __construct(string $symbol, int $at, public readonly string $why, ?string $nearest)
    {
        parent::__construct(sprintf('"%s": %s.', Quote::short($symbol), $why), $symbol, $at, $nearest);
    }
}
