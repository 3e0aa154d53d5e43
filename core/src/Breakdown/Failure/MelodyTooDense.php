<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Failure;

use Gravik\Breakdown\BreakdownNotValid;

final class MelodyTooDense extends BreakdownNotValid
{
    /** @param int $bar of the melody, from 0 */
    public function __construct(public readonly int $bar, public readonly int $notes, public readonly int $most)
    {
        parent::__construct(
            sprintf(
                'Bar %d of the melody has %d notes, and at most %d can be counted in it. Spread it over more bars.',
                $bar + 1,
                $notes,
                $most,
            ),
            '',
        );
    }
}
