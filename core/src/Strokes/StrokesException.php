<?php

declare(strict_types=1);

namespace Gravik\Strokes;

use Gravik\CoreException;
use Gravik\Quote;

final class StrokesException extends \InvalidArgumentException implements CoreException
{
    public static function choice(string $what, string $typed, string $known): self
    {
        return new self(sprintf('"%s" is no %s. Choose one of %s.', Quote::short($typed), $what, $known));
    }

    public static function slotSign(string $sign, int $slot): self
    {
        return new self(sprintf('Slot %d holds "%s". Write . for air, x strum, X accented, c chuck or g ghost.', $slot + 1, Quote::short($sign)));
    }

    public static function slotsDoNotFit(int $slots, int $perBar, string $meter): self
    {
        return new self(sprintf('%d slots do not fill whole bars of %s: a bar has %d of them. Add or take away %d.', $slots, $meter, $perBar, $slots % $perBar === 0 ? $perBar : min($slots % $perBar, $perBar - $slots % $perBar)));
    }

    public static function length(int $ticks, int $barTicks): self
    {
        return new self(sprintf('A pattern of %d ticks is not one to four whole bars (a bar has %d ticks).', $ticks, $barTicks));
    }

    public static function outside(int $at, int $ticks): self
    {
        return new self(sprintf('A stroke at tick %d lies outside the pattern, which has %d ticks.', $at, $ticks));
    }

    public static function offTheGrid(int $at, int $division): self
    {
        return new self(sprintf('A stroke at tick %d does not lie on a beat divided in %d. Choose the division it belongs to.', $at, $division));
    }

    public static function twoAtOnce(int $at, string $stream): self
    {
        return new self(sprintf('Stream "%s" has two strokes at tick %d. Keep one, or put the other in a second stream.', Quote::short($stream), $at));
    }

    public static function value(string $field, string $what): self
    {
        return new self(sprintf('A stroke\'s %s %s', $field, $what));
    }
}
