<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\Desk;
use Gravik\Breakdown\FigureLibrary;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Chart\Place;

/** Plays a figure of the library in the last bars of a section, near the hand that holds the grip there. */
final readonly class LibraryFigurePlacer
{
    /**
     * @param bool $inPass whether in the desk's pass alone; else in all
     *
     * @throws BreakdownNotValid where there is none called so, or the section is not counted in four
     */
    public function place(Desk $desk, string $slug, bool $inPass): Breakdown
    {
        $section = $desk->section;
        $endings = array_keys($section->endings);
        $reader = $desk->setting->reader();
        $line = count($reader->read($section->line)->bars);
        $length = FigureLibrary::all()[$slug]['bars'] ?? 1;
        $ending = $section->endings[0] ?? null;
        $bars = $ending === null ? $line : count($reader->read($ending->line)->bars);
        $at = new Place(
            $section->id,
            $endings === [] || $bars < $length ? null : 0,
            max(0, ($bars < $length ? $line : $bars) - $length),
            0,
        );
        $breakdown = $desk->breakdown;
        $figure = FigureLibrary::figure(
            $slug,
            FreeId::after('f', $breakdown->figures),
            $desk->setting->key,
            $breakdown->neck,
            max(1, $desk->gripAt($at, $desk->tools()->voiced())->position ?? 1),
        );

        return (new FigurePlacer())->place(
            (new FigureKeeper())->keep($breakdown, $figure),
            new PlacedFigure($figure, $at, $inPass ? [$desk->pass] : null),
        );
    }
}
