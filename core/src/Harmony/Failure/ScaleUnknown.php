<?php

declare(strict_types=1);

namespace Gravik\Harmony\Failure;

use Gravik\Harmony\HarmonyException;
use Gravik\Quote;

final class ScaleUnknown extends HarmonyException
{
    public function __construct(public readonly string $name)
    {
        parent::__construct(sprintf(
            '"%s" is no scale for fills. Choose key, major-pentatonic or minor-pentatonic.',
            Quote::short($name),
        ));
    }
}
