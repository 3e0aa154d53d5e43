<?php

declare(strict_types=1);

namespace Gravik\Band;

use Gravik\CoreException;

abstract class BandException extends CoreException {}
