<?php

declare(strict_types=1);

namespace Gravik\Neck\Failure;

use Gravik\Neck\NeckException;
use Gravik\Quote;

final class TuningUnknown extends NeckException
{
    public function __construct(public readonly string $typed, public readonly string $known)
    {
        parent::__construct(sprintf(
            '"%s" is no tuning we know. Use one of %s, or type the pitches from the lowest string up, such as D2,A2,D3,G3,B3,E4.',
            Quote::short($typed),
            $known,
        ));
    }
}
