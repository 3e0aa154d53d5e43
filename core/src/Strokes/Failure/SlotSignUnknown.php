<?php

declare(strict_types=1);

namespace Gravik\Strokes\Failure;

use Gravik\Quote;
use Gravik\Strokes\StrokesException;

final class SlotSignUnknown extends StrokesException
{
    public function __construct(public readonly string $sign, public readonly int $slot)
    {
        parent::__construct(sprintf(
            'Slot %d holds "%s". Write . for air, x strum, X accented, c chuck or g ghost.',
            $slot + 1,
            Quote::short($sign),
        ));
    }
}
