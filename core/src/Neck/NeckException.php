<?php

declare(strict_types=1);

namespace Gravik\Neck;

use Gravik\CoreException;

abstract class NeckException extends CoreException {}
