<?php

declare(strict_types=1);

namespace Gravik\Neck\Grip;

use Gravik\Neck\HandProfile;

/** How hard a grip is for the hand: a sum of named parts, each a rule of thumb. Below 1 is a beginner's grip, above 3 is hard. */
final readonly class Difficulty
{
    private const SPAN_AT_FULL_REACH = 2.0;

    private const DAMPED_INNER_STRING = 0.5;

    private const HIGH_UP_PER_FRET = 0.1;

    /**
     * @param list<int|null> $frets low to high
     * @param float          $fingering cost of the fingering, see FingeringSearch
     *
     * @return array{fingering: float, span: float, damping: float, place: float}
     */
    public function of(array $frets, float $fingering, float $spanMm, HandProfile $hand): array
    {
        $first = $last = null;
        $sounding = 0;
        $lowest = 99;
        foreach ($frets as $string => $fret) {
            if ($fret === null) {
                continue;
            }
            $first ??= $string;
            $last = $string;
            $sounding++;
            if ($fret > 0 && $fret < $lowest) {
                $lowest = $fret;
            }
        }
        $inner = $first === null || $last === null ? 0 : $last - $first + 1 - $sounding;
        $place = $lowest === 99 ? 0.0 : self::HIGH_UP_PER_FRET * max(0, $lowest - 5);

        return [
            'fingering' => $fingering,
            'span' => self::SPAN_AT_FULL_REACH * ($spanMm / $hand->reachMm()) ** 3,
            'damping' => self::DAMPED_INNER_STRING * $inner,
            'place' => $place,
        ];
    }
}
