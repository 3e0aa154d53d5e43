<?php

declare(strict_types=1);

namespace Gravik\Time;

use Gravik\CoreException;

abstract class TimeException extends CoreException
{
    protected static function plain(float $number): string
    {
        return is_finite($number) ? rtrim(rtrim(number_format($number, 2, '.', ''), '0'), '.') : 'unknown';
    }
}
