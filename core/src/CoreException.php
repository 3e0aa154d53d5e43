<?php

declare(strict_types=1);

namespace Gravik;

/** Everything the core refuses. The message is written for a teacher: what was wrong, where, what would do. */
interface CoreException extends \Throwable {}
