<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Chart\Failure\FormTimesOutOfRange;

/** A section in the way through the song, played so many times in a row. */
final readonly class FormEntry
{
    public const MOST_TIMES = 16;

    public function __construct(public string $section, public int $times = 1)
    {
        if ($times < 1 || $times > self::MOST_TIMES) {
            throw new FormTimesOutOfRange($times, self::MOST_TIMES);
        }
    }
}
