<?php

declare(strict_types=1);

namespace Gravik\Neck\Grip;

/** What the fretting hand does from one grip to the next. */
final readonly class FingerMoves
{
    /**
     * @param list<int> $stay   fingers that keep string and fret
     * @param list<int> $slide  fingers that keep their string and change the fret
     * @param list<int> $common string numbers whose note sounds in both grips
     * @param bool      $none   whether no finger has to move: those of the new grip lie already
     */
    private function __construct(public array $stay, public array $slide, public array $common, public bool $none) {}

    public static function between(Voicing $from, Voicing $to): self
    {
        $before = self::places($from);
        $stay = [];
        $slide = [];
        $after = self::places($to);
        foreach ($after as $finger => $places) {
            if (isset($before[$finger]) && array_diff_assoc($places, $before[$finger]) === []) {
                $stay[] = $finger;
            } elseif (isset($before[$finger]) && array_intersect_key($places, $before[$finger]) !== []) {
                $slide[] = $finger;
            }
        }
        $common = [];
        foreach ($to->midi as $string => $midi) {
            if ($midi !== null && $midi === ($from->midi[$string] ?? null)) {
                $common[] = count($to->midi) - $string;
            }
        }

        return new self($stay, $slide, $common, count($stay) === count($after));
    }

    /** @return array<int, array<int, int>> finger => string index => fret */
    private static function places(Voicing $voicing): array
    {
        $places = [];
        foreach ($voicing->fingers as $string => $finger) {
            if ($finger !== null && $finger > 0) {
                $places[$finger][$string] = (int) $voicing->frets[$string];
            }
        }
        ksort($places);

        return $places;
    }
}
