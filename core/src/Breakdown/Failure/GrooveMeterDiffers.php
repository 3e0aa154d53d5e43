<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;

final class GrooveMeterDiffers extends BreakdownNotValid
{
    public function __construct(string $pointer, public readonly string $groove, public readonly string $has, public readonly string $needs)
    {
        parent::__construct(
            sprintf('The groove "%s" is in %s, the tune in %s. Choose a groove in %s.', $groove, $has, $needs, $needs),
            $pointer,
        );
    }
}
