<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\CoreException;

abstract class ChartException extends CoreException {}
