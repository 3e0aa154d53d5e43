<?php

declare(strict_types=1);

namespace Gravik\Chart\Failure;

use Gravik\Chart\ChartException;

final class WordsNotPossible extends ChartException
{
    public function __construct(public readonly int $bar, public readonly string $text)
    {
        parent::__construct('Sung words stand at a bar of their section and have 1 to 120 characters.');
    }
}
