<?php

declare(strict_types=1);

namespace Gravik\Chart\Failure;

use Gravik\Chart\ChartException;

final class SectionNameMissing extends ChartException
{
    public function __construct()
    {
        parent::__construct('A section needs a name of 1 to 40 characters, such as A, Verse or Intro.');
    }
}
