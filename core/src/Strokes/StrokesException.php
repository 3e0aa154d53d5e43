<?php

declare(strict_types=1);

namespace Gravik\Strokes;

use Gravik\CoreException;

abstract class StrokesException extends CoreException {}
