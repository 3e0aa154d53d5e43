<?php

declare(strict_types=1);

namespace Gravik\Formats;

use Gravik\CoreException;

abstract class DraftNotReadable extends CoreException {}
