<?php

declare(strict_types=1);

namespace Gravik\Ensemble;

use Gravik\CoreException;

/** Something about the band that cannot be. */
abstract class EnsembleException extends CoreException {}
