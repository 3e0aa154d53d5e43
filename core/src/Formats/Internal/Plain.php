<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal;

/** @internal used by the writers of JSON formats */
final readonly class Plain
{
    /** Whole numbers are written without a fraction, so that what was read is written back to the letter. */
    public static function number(float $number): int|float
    {
        return floor($number) === $number ? (int) $number : $number;
    }
}
