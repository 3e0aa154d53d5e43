<?php

declare(strict_types=1);

namespace Gravik\Harmony;

use Gravik\CoreException;

abstract class HarmonyException extends CoreException {}
