<?php

declare(strict_types=1);

namespace App\Console;

use Gravik\Quote;
use RuntimeException;

/** Input to a command that never reaches the core. */
final class UnusableInput extends RuntimeException
{
    public static function noFile(string $path): self
    {
        return new self(sprintf('There is no file "%s" to read. Check its name and folder.', Quote::short($path)));
    }

    public static function tooLarge(string $path, int $most): self
    {
        return new self(sprintf(
            '"%s" is over %d MB, and no file of its kind should be. Choose another file.',
            Quote::short($path),
            intdiv($most, 1024 * 1024),
        ));
    }

    public static function notANumber(string $option, string $value): self
    {
        return new self(sprintf('--%s needs a number, not "%s".', $option, Quote::short($value)));
    }

    public static function notWhole(string $option): self
    {
        return new self(sprintf('--%s needs a whole number.', $option));
    }

    public static function noSuchBreakdown(string $id): self
    {
        return new self(sprintf('"%s" is neither a file nor the id of a breakdown on the shelf.', Quote::short($id)));
    }

    public static function cannotWrite(string $path): self
    {
        return new self(sprintf('"%s" cannot be written. Choose another folder with -o.', Quote::short($path)));
    }

    public static function needs(string $what): self
    {
        return new self($what);
    }
}
