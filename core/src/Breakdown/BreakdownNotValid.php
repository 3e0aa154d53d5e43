<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\CoreException;

final class BreakdownNotValid extends \InvalidArgumentException implements CoreException
{
    public static function title(): self
    {
        return new self('A breakdown needs a title of 1 to 120 characters.');
    }

    public static function gate(string $what, string $range): self
    {
        return new self(sprintf('The %s a gate lets through is %s.', $what, $range));
    }

    public static function genre(): self
    {
        return new self('The genre can have at most 80 characters.');
    }

    public static function sections(int $count): self
    {
        return new self(sprintf('%d sections are more than one breakdown holds; 24 is the most.', $count));
    }

    public static function noSuchSection(int $number, int $count): self
    {
        return new self($count === 1 ? 'A breakdown keeps its only section. Empty its line instead.' : sprintf('There is no section %d to take out; this breakdown has %d.', $number, $count));
    }
}
