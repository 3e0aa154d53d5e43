<?php

declare(strict_types=1);

namespace Gravik\Strokes\Written;

use Gravik\Strokes\Articulation;
use Gravik\Strokes\Failure\SlotsDoNotFit;
use Gravik\Strokes\Failure\SlotSignUnknown;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;
use Gravik\Time\Failure\DivisionUnknown;
use Gravik\Time\Meter;

/** A pattern typed as one sign a slot: . air, x strum, X accented, c chuck, g ghost. Spaces and | are for the eye. */
final readonly class SlotLine
{
    /** @param int $grid slots a beat: 1, 2, 3, 4 or 6 */
    public static function parse(string $typed, Meter $meter, int $grid): Pattern
    {
        if (! in_array($grid, [1, 2, 3, 4, 6], true)) {
            throw new DivisionUnknown($grid);
        }
        $signs = mb_str_split((string) preg_replace('/[\s|]+/u', '', mb_scrub($typed)));
        $perBar = $meter->beats() * $grid;
        if ($signs === [] || count($signs) % $perBar !== 0 || count($signs) > 4 * $perBar) {
            throw new SlotsDoNotFit(count($signs), $perBar, $meter->text());
        }
        $slotTicks = intdiv($meter->beatTicks(), $grid);
        $strokes = [];
        foreach ($signs as $slot => $sign) {
            $stroke = self::stroke($sign, $slot, $slot * $slotTicks, $grid);
            if ($stroke !== null) {
                $strokes[] = $stroke;
            }
        }

        return new Pattern($meter, count($signs) * $slotTicks, [new Stream('strum', $strokes)]);
    }

    private static function stroke(string $sign, int $slot, int $at, int $grid): ?Stroke
    {
        return match ($sign) {
            '.' => null,
            'x' => new Stroke($at, $grid),
            'X' => new Stroke($at, $grid, accent: 2),
            'c' => new Stroke($at, $grid, articulation: Articulation::Chuck),
            'g' => new Stroke($at, $grid, articulation: Articulation::Ghost, accent: 0),
            default => throw new SlotSignUnknown($sign, $slot),
        };
    }
}
