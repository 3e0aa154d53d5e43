<?php

declare(strict_types=1);

namespace Gravik\Strokes\Hand\Internal;

use Gravik\Strokes\Direction;
use Gravik\Strokes\PlayedBy;
use Gravik\Strokes\School;
use Gravik\Strokes\Stroke;

/**
 * Directions of the schools that look at the stroke before: strict alternate turns every time; down-down-up keeps on
 * once when it crosses to the next higher string, down-up-up once when it crosses to a lower one. Thumb and fingers and
 * pick and fingers look at what plays: bass down, upper strings up.
 *
 * @internal used by HandPlanner
 */
final readonly class Turns
{
    public function __construct(private School $school) {}

    /**
     * @param list<Stroke> $strokes in order of time
     *
     * @return list<Direction> one for each
     */
    public function directions(array $strokes): array
    {
        $given = [];
        $before = null;
        $kept = false;
        foreach ($strokes as $stroke) {
            $direction = match ($this->school) {
                School::ThumbFingers, School::PickFingers => self::isBass($stroke) ? Direction::Down : Direction::Up,
                default => $this->turned($before, $given === [] ? null : $given[count($given) - 1], $stroke, $kept),
            };
            $kept = $given !== [] && $direction === $given[count($given) - 1];
            $given[] = $direction;
            $before = $stroke;
        }

        return $given;
    }

    public static function isBass(Stroke $stroke): bool
    {
        return $stroke->by === PlayedBy::Thumb || (StringPlace::of($stroke) ?? 0.0) >= 4.0;
    }

    /** @param bool $kept whether the stroke before went on in its direction already */
    private function turned(?Stroke $before, ?Direction $last, Stroke $stroke, bool $kept): Direction
    {
        if ($before === null || $last === null) {
            return Direction::Down;
        }
        $from = StringPlace::of($before);
        $to = StringPlace::of($stroke);
        $crosses = $from === null || $to === null ? 0 : $from <=> $to;
        $keepsOn = ! $kept && match ($this->school) {
            School::DownDownUp => $last === Direction::Down && $crosses === 1,
            School::DownUpUp => $last === Direction::Up && $crosses === -1,
            default => false,
        };

        return $keepsOn ? $last : ($last === Direction::Down ? Direction::Up : Direction::Down);
    }
}
