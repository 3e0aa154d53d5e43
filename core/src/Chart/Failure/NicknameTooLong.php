<?php

declare(strict_types=1);

namespace Gravik\Chart\Failure;

use Gravik\Chart\ChartException;
use Gravik\Quote;

final class NicknameTooLong extends ChartException
{
    public function __construct(public readonly string $nickname, public readonly int $longest)
    {
        parent::__construct(
            sprintf('"%s" is too long for a nickname: a grip is called by at most %d characters.', Quote::short($nickname), $longest),
        );
    }
}
