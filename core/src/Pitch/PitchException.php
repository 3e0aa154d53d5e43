<?php

declare(strict_types=1);

namespace Gravik\Pitch;

use Gravik\CoreException;

abstract class PitchException extends CoreException {}
