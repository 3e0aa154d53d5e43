<?php

declare(strict_types=1);

namespace Gravik\Chart;

/** How loud a bar begins and ends, in the levels of a Dynamic; what lies between is straight. */
final readonly class Loudness
{
    /** From one level to the next (rule of thumb: about what is just plainly louder). */
    private const DB_A_LEVEL = 4.0;

    public function __construct(public float $from, public float $to) {}

    /**
     * @param list<Dynamic> $dynamics in order of bars
     *
     * @return list<self> for so many bars; firm before the first mark
     */
    public static function ofBars(array $dynamics, int $bars): array
    {
        $loudness = [];
        for ($bar = 0; $bar < $bars; $bar++) {
            $loudness[] = new self(self::at($dynamics, $bar, false), self::at($dynamics, $bar + 1, true));
        }

        return $loudness;
    }

    /**
     * What sounds this much louder or softer than firm, as a factor of amplitude.
     *
     * @param float $share of the bar that is over, 0 to 1
     * @param int   $more  levels up or down
     */
    public function gain(float $share, int $more = 0): float
    {
        $level = $this->from + $share * ($this->to - $this->from) + $more;

        return 10 ** (self::DB_A_LEVEL * ($level - Dynamic::FIRM) / 20);
    }

    /**
     * @param list<Dynamic> $dynamics
     * @param bool          $before   just before the bar line: a mark that stands there counts only if it is grown into
     */
    private static function at(array $dynamics, int $bar, bool $before): float
    {
        $last = new Dynamic(0, Dynamic::FIRM);
        foreach ($dynamics as $mark) {
            if ($mark->bar < $bar || ($mark->bar === $bar && ! $before)) {
                $last = $mark;
            } elseif ($mark->grows) {
                return $last->level + ($mark->level - $last->level) * ($bar - $last->bar) / max(1, $mark->bar - $last->bar);
            } else {
                break;
            }
        }

        return (float) $last->level;
    }
}
