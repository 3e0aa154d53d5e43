<?php

declare(strict_types=1);

namespace Gravik\Band\Failure;

use Gravik\Band\BandException;

final class TuneNotPossible extends BandException
{
    public function __construct(public readonly string $rule)
    {
        parent::__construct("A tune {$rule}.");
    }
}
