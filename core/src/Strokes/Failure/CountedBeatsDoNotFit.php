<?php

declare(strict_types=1);

namespace Gravik\Strokes\Failure;

use Gravik\Strokes\StrokesException;

final class CountedBeatsDoNotFit extends StrokesException
{
    public function __construct(public readonly int $beats, public readonly int $perBar, public readonly string $meter)
    {
        parent::__construct(sprintf('%d beats are counted; a bar of %s has %d, and a pattern one to four bars.', $beats, $meter, $perBar));
    }
}
