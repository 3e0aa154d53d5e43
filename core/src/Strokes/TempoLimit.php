<?php

declare(strict_types=1);

namespace Gravik\Strokes;

/** To which tempo a pattern is easy in a school, and from which it is more than most hands hold; and why. */
final readonly class TempoLimit
{
    /** Strokes a second in one direction, and in both: easy up to the first, hard up to the second (rules of thumb). */
    public const SAME_DIRECTION = ['easy' => 4.0, 'hard' => 6.5];

    public const ANY_DIRECTION = ['easy' => 8.0, 'hard' => 12.0];

    /** @param 'same-direction'|'total' $why what gives out first */
    private function __construct(public float $easyTo, public float $hardTo, public string $why) {}

    /** @param Pattern $pattern with directions */
    public static function of(Pattern $pattern): ?self
    {
        $beats = $pattern->meter->beats();
        $same = max(self::busiest($pattern, Direction::Down), self::busiest($pattern, Direction::Up));
        $all = self::busiest($pattern, null);
        if ($all === 0) {
            return null;
        }
        // n strokes in a bar of b beats come n·tempo/(60·b) times a second.
        $tempo = static fn (float $rate, int $strokes): float => $strokes === 0 ? INF : $rate * 60 * $beats / $strokes;
        $easy = ['same-direction' => $tempo(self::SAME_DIRECTION['easy'], $same), 'total' => $tempo(self::ANY_DIRECTION['easy'], $all)];
        $hard = ['same-direction' => $tempo(self::SAME_DIRECTION['hard'], $same), 'total' => $tempo(self::ANY_DIRECTION['hard'], $all)];

        return new self(min($easy), min($hard), $hard['same-direction'] <= $hard['total'] ? 'same-direction' : 'total');
    }

    /** Strokes in the busiest bar. */
    public static function busiest(Pattern $pattern, ?Direction $direction): int
    {
        $counts = array_fill(0, $pattern->bars(), 0);
        foreach ($pattern->strokes() as $stroke) {
            if ($direction === null || $stroke->direction === $direction) {
                $counts[intdiv($stroke->at, $pattern->meter->barTicks())]++;
            }
        }

        return max(0, ...$counts);
    }
}
