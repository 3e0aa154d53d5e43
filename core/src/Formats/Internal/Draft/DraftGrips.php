<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Draft;

use Gravik\Strokes\Zone;

/**
 * Finds the grip that lies under each chord, and tells its strokes from those of the next one and from single notes.
 *
 * @internal used by DraftBuilder
 */
final readonly class DraftGrips
{
    /**
     * @param list<DraftBar>             $bars  their strokes with what they strike of their grip
     * @param array<string, array<int, int>> $grips "bar tick" of each chord => string => fret
     */
    private function __construct(public array $bars, private array $grips) {}

    /** @return array<int, int> string => fret; empty where none is told */
    public function under(int $bar, int $tick): array
    {
        return $this->grips["{$bar} {$tick}"] ?? [];
    }

    /** @param list<DraftBar> $bars */
    public static function of(array $bars): self
    {
        $places = [];
        foreach ($bars as $number => $bar) {
            foreach ($bar->chords as [$tick]) {
                $places[] = [$number, $tick];
            }
        }
        $first = $grips = $under = [];
        $here = -1;
        foreach ($bars as $number => $bar) {
            foreach ($bar->strokes as $place => $stroke) {
                while (isset($places[$here + 1]) && $places[$here + 1] <= [$number, $stroke->tick]) {
                    $here++;
                }
                $under["{$number} {$place}"] = $here;
                $first[$here][] = $stroke;
            }
        }
        foreach ($first as $chord => $strokes) {
            $grips[$chord] = self::grip($strokes);
        }
        // Where a chord's last stroke disturbs its grip and belongs to the next, the grip is found anew without it.
        $pushes = [];
        foreach ($first as $chord => $strokes) {
            $last = $strokes[count($strokes) - 1];
            $next = $first[$chord + 1][0] ?? null;
            if ($next !== null && count($strokes) > 1 && $last->frets !== [] && $next->frets !== []) {
                $rest = self::grip(array_slice($strokes, 0, -1));
                $fits = self::agrees($last->frets, $next->frets) && ! self::agrees($last->frets, $rest) && count($last->frets) > 1;
                if ($fits) {
                    $pushes[spl_object_id($last)] = true;
                    $grips[$chord] = $rest;
                }
            }
        }
        $settled = [];
        foreach ($bars as $number => $bar) {
            $strokes = [];
            foreach ($bar->strokes as $place => $stroke) {
                $chord = $under["{$number} {$place}"];
                $push = isset($pushes[spl_object_id($stroke)]);
                $grip = $grips[$push ? $chord + 1 : $chord] ?? [];
                $strokes[] = $stroke->over(
                    self::struck($stroke, $grip),
                    $push,
                    ! self::agrees($stroke->frets, $grip) || (count($grip) === 1 && $stroke->frets !== []),
                );
            }
            $settled[] = $bar->struck($strokes);
        }
        $byPlace = [];
        foreach ($places as $chord => [$bar, $tick]) {
            $byPlace["{$bar} {$tick}"] = $grips[$chord] ?? [];
        }

        return new self($settled, $byPlace);
    }

    /**
     * What all of a chord's strokes agree upon; where they don't, the fullest of them and those that agree with it.
     *
     * @param list<DraftStroke> $strokes
     *
     * @return array<int, int>
     */
    private static function grip(array $strokes): array
    {
        usort($strokes, static fn (DraftStroke $a, DraftStroke $b): int => count($b->frets) <=> count($a->frets));
        $grip = [];
        foreach ($strokes as $stroke) {
            $grip += self::agrees($stroke->frets, $grip) ? $stroke->frets : [];
        }

        return $grip;
    }

    /**
     * Whether no string is held at two frets.
     *
     * @param array<int, int> $a
     * @param array<int, int> $b
     */
    private static function agrees(array $a, array $b): bool
    {
        return array_intersect_key($a, $b) === array_intersect_key(array_intersect_assoc($a, $b), $b);
    }

    /**
     * @param array<int, int> $grip
     *
     * @return list<int>|Zone
     */
    private static function struck(DraftStroke $stroke, array $grip): array|Zone
    {
        $sounding = array_keys($grip);
        rsort($sounding);
        $struck = array_keys(array_intersect_key($stroke->frets, $grip));
        rsort($struck);
        $half = intdiv(count($sounding), 2);

        return match ($struck) {
            [], $sounding => Zone::All,
            array_slice($sounding, 0, 1) => Zone::Bass,
            array_slice($sounding, 0, max(1, $half)) => Zone::Low,
            array_slice($sounding, $half) => Zone::High,
            array_slice($sounding, 1, -1) => Zone::Middle,
            default => $struck,
        };
    }
}
