<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Chart\Failure\FormTimesOutOfRange;

/** A section in the way through the song, played so many times in a row; an intro or a tag in some passes only. */
final readonly class FormEntry
{
    public const MOST_TIMES = 16;

    /** @param ?list<string> $passes ids of those in which it comes; null for all */
    public function __construct(public string $section, public int $times = 1, public ?array $passes = null)
    {
        if ($times < 1 || $times > self::MOST_TIMES) {
            throw new FormTimesOutOfRange($times, self::MOST_TIMES);
        }
    }

    public function comesIn(string $pass): bool
    {
        return $this->passes === null || in_array($pass, $this->passes, true);
    }

    /** @param ?list<string> $passes */
    public function in(?array $passes): self
    {
        return new self($this->section, $this->times, $passes);
    }
}
