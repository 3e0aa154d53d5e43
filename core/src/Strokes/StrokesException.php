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
        return new self(sprintf(
            'Slot %d holds "%s". Write . for air, x strum, X accented, c chuck or g ghost.',
            $slot + 1,
            Quote::short($sign),
        ));
    }

    public static function slotsDoNotFit(int $slots, int $perBar, string $meter): self
    {
        return new self(sprintf(
            '%d slots do not fill whole bars of %s: a bar has %d of them. Add or take away %d.',
            $slots,
            $meter,
            $perBar,
            $slots % $perBar === 0 ? $perBar : min($slots % $perBar, $perBar - $slots % $perBar),
        ));
    }

    public static function countedSyllable(string $word): self
    {
        return new self(sprintf(
            '"%s" is not counted here. Say 1 2 3 4, & e a trip let ta; put air in brackets; add ! x ~ . _ > o v ^ after a syllable.',
            Quote::short($word),
        ));
    }

    public static function countedBeat(string $said, int $expected): self
    {
        return new self(sprintf(
            '"%s" stands where beat %d comes. Count every beat, those in the air in brackets: (%d).',
            Quote::short($said),
            $expected,
            $expected,
        ));
    }

    public static function countedBeats(int $beats, int $perBar, string $meter): self
    {
        return new self(sprintf('%d beats are counted; a bar of %s has %d, and a pattern one to four bars.', $beats, $meter, $perBar));
    }

    public static function mixedBeat(string $said, int $beat): self
    {
        return new self(sprintf(
            'Beat %d counts "%s", which is no one division of it. Use & for halves, e & a for quarters, trip let for thirds.',
            $beat,
            Quote::short($said),
        ));
    }

    public static function countedOutOfOrder(string $said, int $beat): self
    {
        return new self(sprintf('"%s" in beat %d comes after what follows it. Count from left to right.', Quote::short($said), $beat));
    }

    public static function length(int $ticks, int $barTicks): self
    {
        return new self(sprintf('A pattern of %d ticks is not one to four whole bars (a bar has %d ticks).', $ticks, $barTicks));
    }

    public static function outside(int $at, int $bar, int $beat, int $bars): self
    {
        return new self(sprintf('A stroke at tick %d (%s) lies outside the pattern, which has %d %s. Move it inside, or make the pattern longer.',
            $at, $at < 0 ? 'before bar 1' : "beat {$beat} of bar {$bar}", $bars, $bars === 1 ? 'bar' : 'bars'));
    }

    public static function offTheGrid(int $at, int $division): self
    {
        return new self(sprintf(
            'A stroke at tick %d does not lie on a beat divided in %d. Choose the division it belongs to.',
            $at,
            $division,
        ));
    }

    public static function twoAtOnce(int $at, string $stream): self
    {
        return new self(sprintf(
            'Stream "%s" has two strokes at tick %d. Keep one, or put the other in a second stream.',
            Quote::short($stream),
            $at,
        ));
    }

    public static function value(string $field, string $what): self
    {
        return new self(sprintf('A stroke\'s %s %s', $field, $what));
    }
}
