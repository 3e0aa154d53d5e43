<?php

declare(strict_types=1);

namespace Gravik\Listening;

use Gravik\CoreException;

abstract class ListeningException extends CoreException {}
