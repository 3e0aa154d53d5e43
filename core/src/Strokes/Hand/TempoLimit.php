<?php

declare(strict_types=1);

namespace Gravik\Strokes\Hand;

use Gravik\Strokes\Direction;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\Stroke;

/** To which tempo a pattern is easy in a school, and from which it is more than most hands hold; and why. */
final readonly class TempoLimit
{
    /** Strokes a second in one direction, and in both: easy up to the first, hard up to the second (rules of thumb). */
    public const SAME_DIRECTION = ['easy' => 4.0, 'hard' => 6.5];

    public const ANY_DIRECTION = ['easy' => 8.0, 'hard' => 12.0];

    private function __construct(public float $easyTo, public float $hardTo, public LimitKind $why) {}

    /** @param Pattern $pattern with directions */
    public static function of(Pattern $pattern): ?self
    {
        $same = max(self::busiest($pattern, Direction::Down), self::busiest($pattern, Direction::Up));
        $all = self::busiest($pattern, null);
        if ($all === 0) {
            return null;
        }
        // n strokes within a beat come n·tempo/60 times a second.
        $tempo = static fn (float $rate, int $strokes): float => $strokes === 0 ? INF : $rate * 60 / $strokes;
        $easy = min($tempo(self::SAME_DIRECTION['easy'], $same), $tempo(self::ANY_DIRECTION['easy'], $all));
        [$one, $both] = [$tempo(self::SAME_DIRECTION['hard'], $same), $tempo(self::ANY_DIRECTION['hard'], $all)];

        return new self($easy, min($one, $both), $one <= $both ? LimitKind::SameDirection : LimitKind::Total);
    }

    /** Strokes within a beat's length where they come fastest, wherever that begins; the pattern goes round. */
    public static function busiest(Pattern $pattern, ?Direction $direction): int
    {
        $strokes = array_values(array_filter(
            $pattern->strokes(),
            static fn (Stroke $stroke): bool => $direction === null || $stroke->direction === $direction,
        ));
        // Strokes of two lines at one moment are one movement.
        $at = array_values(array_unique(array_map(static fn (Stroke $stroke): int => $stroke->at, $strokes)));
        $beat = $pattern->meter->beatTicks();
        $most = 0;
        foreach ($at as $from) {
            $most = max(
                $most,
                count(array_filter($at, static fn (int $tick): bool => ($tick - $from + $pattern->ticks) % $pattern->ticks < $beat)),
            );
        }

        return $most;
    }
}
