<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\Desk;
use Gravik\Breakdown\Failure\BarUnknown;
use Gravik\Breakdown\Failure\PatternMeterDiffers;
use Gravik\Breakdown\Figure;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Chart\Place;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\Shaping\BarMove;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;

/** Lays a move over a bar of a pass: as a figure of strokes, made of what is played there anyway. */
final readonly class BarMover
{
    /**
     * @param Place $at    a bar of the desk's section
     * @param int   $slots of a fill
     *
     * @throws BreakdownNotValid where there are too many figures, or no such bar
     */
    public function move(Desk $desk, Place $at, BarMove $move, int $slots = 4): Breakdown
    {
        $breakdown = $desk->breakdown;
        self::found($desk, $at);
        $now = $this->strokesOf($desk, $at);
        $name = implode(', ', array_unique([...($now === null ? [] : [$now->name]), $move->words()]));
        $made = self::figure($desk, $name, $move->over($now->pattern ?? $this->barOf($desk, $at), $slots));
        $alike = array_values(array_filter($breakdown->figures, static fn (Figure $each): bool => [$each->name, $each->notes] === [$name, []]
            && serialize($each->pattern) === serialize($made->pattern)))[0] ?? null;

        return (new FigurePlacer())->place(
            $alike === null ? (new FigureKeeper())->keep($breakdown, $made) : $breakdown,
            new PlacedFigure($alike ?? $made, $at, [$desk->pass]),
        );
    }

    /**
     * What a bar of a pass plays, to be recorded as a move: the figure that lies there, else the strokes of the bar.
     *
     * @throws BreakdownNotValid where there is no such bar
     */
    public function playedAt(Desk $desk, Place $at): Figure
    {
        self::found($desk, $at);

        return $this->figureAt($desk, $at) ?? self::figure($desk, '', $this->barOf($desk, $at));
    }

    /**
     * A move that was recorded elsewhere, played at a bar of the pass.
     *
     * @param Breakdown $song the desk's, with the move among its figures
     *
     * @throws BreakdownNotValid where there is no such bar, or the move is in another meter
     */
    public function play(Desk $desk, Breakdown $song, Figure $move, Place $at): Breakdown
    {
        self::found($desk, $at);
        $meter = $move->pattern->meter;
        if (! $meter->equals($desk->setting->meter)) {
            throw new PatternMeterDiffers('', $meter->text(), $desk->section->name, $desk->setting->meter->text());
        }

        return (new FigurePlacer())->place($song, new PlacedFigure($move, $at, [$desk->pass]));
    }

    private static function found(Desk $desk, Place $at): void
    {
        $ending = $at->ending === null ? null : $desk->section->endings[$at->ending] ?? null;
        $bars = count($desk->setting->reader()->read($ending->line ?? $desk->section->line)->bars);
        if ($at->bar >= $bars || ($at->ending !== null && $ending === null)) {
            throw new BarUnknown($desk->section->name, $at->bar, $bars);
        }
    }

    private static function figure(Desk $desk, string $name, Pattern $strokes): Figure
    {
        $key = $desk->setting->key;

        return new Figure(FreeId::after('f', $desk->breakdown->figures), $name, $strokes, [], $key->tonicTriad(), $key);
    }

    /** The bar of the pattern that the pass plays there. */
    private function barOf(Desk $desk, Place $at): Pattern
    {
        $breakdown = $desk->breakdown;
        $line = $at->ending === null ? 0 : count($desk->setting->reader()->read($desk->section->line)->bars);
        $pattern = $breakdown->cellFor($desk->pass, $desk->section->id, $breakdown->guitar()->id, 1, $line + $at->bar)->pattern->pattern;
        $ticks = $pattern->meter->barTicks();
        $from = ($line + $at->bar) % $pattern->bars() * $ticks;

        return new Pattern($pattern->meter, $ticks, array_map(static fn (Stream $stream): Stream => new Stream($stream->name, array_values(array_map(
            static fn (Stroke $stroke): Stroke => $stroke->movedTo($stroke->at - $from, $stroke->division),
            array_filter($stream->strokes, static fn (Stroke $stroke): bool => $stroke->at >= $from && $stroke->at < $from + $ticks),
        ))), $pattern->streams));
    }

    /** The figure of strokes alone, one bar long, that is played there instead of the pattern. */
    private function strokesOf(Desk $desk, Place $at): ?Figure
    {
        $figure = $this->figureAt($desk, $at);

        return $figure !== null && array_filter($figure->notes) === [] && $figure->pattern->bars() === 1 ? $figure : null;
    }

    private function figureAt(Desk $desk, Place $at): ?Figure
    {
        $found = null;
        foreach ($desk->breakdown->played as $placed) {
            $here = $placed->at->equals($at) && $placed->instead && in_array($desk->pass, $placed->passes ?? [$desk->pass], true);
            $found = $here ? $placed->figure : $found;
        }

        return $found;
    }
}
