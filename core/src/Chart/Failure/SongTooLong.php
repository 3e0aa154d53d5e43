<?php

declare(strict_types=1);

namespace Gravik\Chart\Failure;

use Gravik\Chart\ChartException;

final class SongTooLong extends ChartException
{
    public function __construct(public readonly int $most)
    {
        parent::__construct(sprintf('Played out, all passes with their repeats are more than %d bars. Take out passes or repeats.', $most));
    }
}
