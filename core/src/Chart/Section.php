<?php

declare(strict_types=1);

namespace Gravik\Chart;

/** A named stretch of the form, as it was typed. */
final readonly class Section
{
    public function __construct(public string $name, public string $line)
    {
        if (trim($name) === '' || mb_strlen($name) > 40) {
            throw ChartNotReadable::sectionName();
        }
        if (mb_strlen($line) > ChartLine::LONGEST) {
            throw ChartNotReadable::tooLong(mb_strlen($line), ChartLine::LONGEST);
        }
    }
}
