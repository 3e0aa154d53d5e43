<?php

declare(strict_types=1);

namespace Gravik\Harmony\Failure;

use Gravik\Harmony\HarmonyException;

final class DegreeNotPossible extends HarmonyException
{
    public function __construct(public readonly int $number, public readonly int $alter)
    {
        parent::__construct(sprintf(
            'There is no degree %d with %d signs: degrees run from 1 to 13, with at most two signs.',
            $number,
            $alter,
        ));
    }
}
