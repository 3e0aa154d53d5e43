<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

/** How a part sat in the band for somebody who listened. */
enum BalanceVerdict: string
{
    case TooSoft = 'too-soft';
    case Sits = 'sits';
    case TooLoud = 'too-loud';

    public function words(): string
    {
        return match ($this) {
            self::TooSoft => 'too soft',
            self::Sits => 'sits',
            self::TooLoud => 'too loud',
        };
    }
}
