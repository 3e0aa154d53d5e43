<?php

declare(strict_types=1);

namespace Gravik\Handout;

use Gravik\CoreException;

abstract class HandoutException extends CoreException {}
