<?php

declare(strict_types=1);

namespace Gravik\Strokes\Failure;

use Gravik\Strokes\StrokesException;

final class SlotsDoNotFit extends StrokesException
{
    public function __construct(public readonly int $slots, public readonly int $perBar, public readonly string $meter)
    {
        parent::__construct(sprintf(
            '%d slots do not fill whole bars of %s: a bar has %d of them. Add or take away %d.',
            $slots,
            $meter,
            $perBar,
            $slots % $perBar === 0 ? $perBar : min($slots % $perBar, $perBar - $slots % $perBar),
        ));
    }
}
