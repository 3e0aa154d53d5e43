<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Chart\Failure\EndingTimesNotPossible;
use Gravik\Chart\Failure\LineTooLong;

/** How a section ends in some of the times it comes. */
final readonly class Ending
{
    /** @param non-empty-list<int> $times of the section in one pass, from 1 */
    public function __construct(public array $times, public string $line)
    {
        if (min($times) < 1 || count(array_unique($times)) < count($times)) {
            throw new EndingTimesNotPossible();
        }
        if (mb_strlen($line) > ChartLine::LONGEST) {
            throw new LineTooLong(mb_strlen($line), ChartLine::LONGEST);
        }
    }
}
