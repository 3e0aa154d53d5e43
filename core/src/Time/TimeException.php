<?php

declare(strict_types=1);

namespace Gravik\Time;

use Gravik\CoreException;
use Gravik\Quote;

final class TimeException extends \InvalidArgumentException implements CoreException
{
    public static function meter(string $typed): self
    {
        return new self(sprintf('"%s" is no meter we can count. Choose one of %s.', Quote::short($typed), implode(', ', Meter::KNOWN)));
    }

    public static function tempo(float $bpm): self
    {
        return new self(sprintf(
            'A tempo of %s beats a minute cannot be played along to. Choose %d to %d.',
            self::plain($bpm),
            Tempo::SLOWEST,
            Tempo::FASTEST,
        ));
    }

    public static function ratio(float $ratio): self
    {
        return new self(sprintf(
            'A swing of %s to 1 is outside what can be felt as swing. Choose %s (early) to %s, 1 being straight and 2 the triplet.',
            self::plain($ratio),
            Feel::LOWEST,
            Feel::HIGHEST,
        ));
    }

    public static function feel(string $what, string $typed): self
    {
        return new self(sprintf(
            '"%s" is no %s of a feel. A feel has a mode (fixed or follows-tempo), a ratio and a unit (eighth or sixteenth).',
            Quote::short($typed),
            $what,
        ));
    }

    public static function unreadableFeel(string $typed): self
    {
        return new self(sprintf(
            '"%s" is no feel. Type a name (straight, light, triplet, shuffle, dotted, follows), a ratio such as 2 or 3:2, or a share such as 62 %%.',
            Quote::short($typed),
        ));
    }

    public static function division(int $division): self
    {
        return new self(sprintf('A beat cannot be divided in %d. Choose 1, 2, 3, 4 or 6.', $division));
    }

    private static function plain(float $number): string
    {
        return is_finite($number) ? rtrim(rtrim(number_format($number, 2, '.', ''), '0'), '.') : 'unknown';
    }
}
