<?php

declare(strict_types=1);

namespace Gravik\Time\Failure;

use Gravik\Quote;
use Gravik\Time\TimeException;

final class FeelNotReadable extends TimeException
{
    public function __construct(public readonly string $typed)
    {
        parent::__construct(sprintf(
            '"%s" is no feel. Type a name (straight, light, triplet, shuffle, dotted, follows), a ratio such as 2 or 3:2, or a share such as 62 %%.',
            Quote::short($typed),
        ));
    }
}
