<?php

declare(strict_types=1);

namespace App\Documents;

/** A value as it stands in a table that goes out. */
final readonly class CsvCell
{
    public static function of(mixed $value): string
    {
        return match (true) {
            is_bool($value) => $value ? 'yes' : 'no',
            // A table program takes what begins so for a formula.
            is_string($value) => preg_match('/^[=+\-@\t\r]/', $value) === 1 ? "'".$value : $value,
            is_scalar($value) => (string) $value,
            default => '',
        };
    }
}
