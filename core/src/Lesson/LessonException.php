<?php

declare(strict_types=1);

namespace Gravik\Lesson;

use Gravik\CoreException;
use Gravik\Quote;

final class LessonException extends \InvalidArgumentException implements CoreException
{
    public static function mode(string $typed): self
    {
        return new self(sprintf('"%s" is no ladder: choose gated, ramp or bursts.', Quote::short($typed)));
    }

    public static function downwards(float $start, float $goal): self
    {
        return new self(sprintf('A ladder goes up: its goal, %g, lies below its start, %g.', $goal, $start));
    }

    public static function minutes(float $minutes): self
    {
        return new self(sprintf('%g minutes are no time to practise: give 1 to 120.', $minutes));
    }

    public static function step(float $percent): self
    {
        return new self(sprintf('A step of %g %% is not one a hand can follow or feel: give 3 to 8.', $percent));
    }

    public static function bars(int $bars): self
    {
        return new self(sprintf('A cycle has 1 to 64 bars, not %d.', $bars));
    }

    public static function noTime(): self
    {
        return new self('The minutes are over before one cycle is: give more minutes or fewer bars.');
    }
}
