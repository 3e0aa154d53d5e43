<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Chart\Failure\EndingTimesNotPossible;
use Gravik\Chart\Failure\LineTooLong;

/** How a section ends in some of the times it comes, or in some passes. */
final readonly class Ending
{
    /**
     * @param list<int>    $times  of the section in one pass, from 1
     * @param list<string> $passes ids of passes in which it ends so whatever time it is
     */
    public function __construct(public array $times, public string $line, public array $passes = [])
    {
        if (($times === [] && $passes === []) || min([1, ...$times]) < 1 || count(array_unique($times)) < count($times)) {
            throw new EndingTimesNotPossible();
        }
        if (mb_strlen($line) > ChartLine::LONGEST) {
            throw new LineTooLong(mb_strlen($line), ChartLine::LONGEST);
        }
    }

    /** @param list<string> $passes */
    public function in(array $passes): self
    {
        return new self($this->times, $this->line, $passes);
    }
}
