<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\Stage;
use Gravik\Quote;

final class StageNotReadable extends BreakdownNotValid
{
    public function __construct(public readonly string $typed)
    {
        parent::__construct(sprintf(
            '"%s" is no stage of a lesson; there are %s.',
            Quote::short($typed),
            implode(', ', array_map(static fn (Stage $stage): string => $stage->slug(), Stage::cases())),
        ), '/stage');
    }
}
