<?php

declare(strict_types=1);

namespace Gravik\Ensemble;

/** What a band is for: a small group leaves room for its soloist, a school band leaves nobody without a task. */
enum Support: string
{
    case SmallGroup = 'small-group';
    case SchoolBand = 'school-band';

    public function words(): string
    {
        return match ($this) {
            self::SmallGroup => 'small group',
            self::SchoolBand => 'school band',
        };
    }
}
