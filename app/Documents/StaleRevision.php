<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Breakdown;
use RuntimeException;

/** A save that started from an older revision than the saved one. Both versions are kept. */
final class StaleRevision extends RuntimeException
{
    /** @param Breakdown $saved as it is saved now */
    public function __construct(public readonly Breakdown $saved)
    {
        parent::__construct('This breakdown was saved from somewhere else in the meantime. Both versions are kept: choose which one to go on with.');
    }
}
