<?php

declare(strict_types=1);

namespace Gravik\Strokes\Shaping;

use Gravik\Strokes\Failure\PatternLengthNotWhole;
use Gravik\Strokes\Failure\StrokeValueOutOfRange;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;
use Gravik\Strokes\StrokesException;
use Gravik\Strokes\Written\CountLine;
use Gravik\Time\Failure\DivisionUnknown;
use Gravik\Time\Meter;

/** Lays a pattern out anew: on another grid, over more or fewer bars, in another meter. */
final readonly class PatternShaper
{
    /**
     * Strokes go to the nearest slot of the new grid, the first of two that meet there stays. More bars repeat what is
     * there, fewer cut it. In another meter the beats are kept one for one.
     *
     * @param int $bars 1 to 4
     * @param int $grid slots a beat
     */
    public function shaped(Pattern $pattern, Meter $meter, int $bars, int $grid): Pattern
    {
        in_array($grid, [1, 2, 3, 4, 6], true) || throw new DivisionUnknown($grid);
        ($bars >= 1 && $bars <= 4) || throw new PatternLengthNotWhole($bars * $meter->barTicks(), $meter->barTicks());
        $slotTicks = intdiv($meter->beatTicks(), $grid);
        $ticks = $bars * $meter->barTicks();
        $streams = array_map(
            fn (Stream $stream): Stream => new Stream($stream->name, $this->strokes($stream, $pattern, $meter, $ticks, $slotTicks, $grid)),
            $pattern->streams,
        );

        return new Pattern($meter, $ticks, $streams);
    }

    /**
     * One beat divided anew, in every stream: its strokes go to the nearest slots, the first of two that meet stays.
     *
     * @param int $beat     from 0
     * @param int $division 1, 2, 3, 4 or 6
     */
    public function withBeatDivided(Pattern $pattern, int $beat, int $division): Pattern
    {
        in_array($division, [1, 2, 3, 4, 6], true) || throw new DivisionUnknown($division);
        $beatTicks = $pattern->meter->beatTicks();

        return $pattern->withStreams(array_map(static function (Stream $stream) use ($beat, $division, $beatTicks): Stream {
            $placed = [];
            foreach ($stream->strokes as $stroke) {
                $moved = intdiv($stroke->at, $beatTicks) === $beat ? $stroke->onNearestSlot($beatTicks, $division) : $stroke;
                $placed[$moved->at] ??= $moved;
            }

            return new Stream($stream->name, array_values($placed));
        }, $pattern->streams));
    }

    /** The bar that a tick lies in, copied to every other bar, in every line. */
    public function withBarCopied(Pattern $pattern, int $at): Pattern
    {
        $bar = $pattern->meter->barTicks();
        $from = intdiv($at, $bar) * $bar;

        return $pattern->withStreams(array_map(static function (Stream $stream) use ($pattern, $bar, $from): Stream {
            $model = array_filter($stream->strokes, static fn (Stroke $stroke): bool => $stroke->at >= $from && $stroke->at < $from + $bar);
            $copies = array_map(
                static fn (int $number): array => array_map(
                    static fn (Stroke $stroke): Stroke => $stroke->movedTo($stroke->at - $from + $number * $bar, $stroke->division),
                    array_values($model),
                ),
                range(0, $pattern->bars() - 1),
            );

            return new Stream($stream->name, array_merge(...$copies));
        }, $pattern->streams));
    }

    /**
     * The beat that a tick lies in, handed from each line to the other: the rhythms change places, each line keeps its strings
     * and what plays them. A pattern of one line stays as it is.
     */
    public function withBeatExchanged(Pattern $pattern, int $at): Pattern
    {
        if (count($pattern->streams) < 2) {
            return $pattern;
        }
        $beat = $pattern->meter->beatTicks();
        $inBeat = static fn (Stroke $stroke): bool => intdiv($stroke->at, $beat) === intdiv($at, $beat);
        $handed = static fn (Stream $keeps, Stream $comes): Stream => new Stream($keeps->name, [
            ...array_values(array_filter($keeps->strokes, static fn (Stroke $stroke): bool => ! $inBeat($stroke))),
            ...array_map(
                static fn (Stroke $stroke): Stroke => $stroke->striking(...$keeps->usualWay()),
                array_values(array_filter($comes->strokes, $inBeat)),
            ),
        ]);
        [$first, $second] = $pattern->streams;

        return $pattern->withStreams([$handed($first, $second), $handed($second, $first)]);
    }

    /**
     * One of its lines as it was counted anew, over as many bars as were counted; the other stays beside it. A stroke that is
     * counted as before stays as it is; what was retyped is struck the way of its line, a thumb's line by the thumb on the bass.
     *
     * @param Pattern $counted of one line
     * @param int     $line    from 0
     *
     * @throws StrokesException where the pattern has no such line
     */
    public function recounted(Pattern $pattern, Pattern $counted, int $line = 0): Pattern
    {
        $old = $pattern->streams[$line] ?? throw new StrokeValueOutOfRange('line', 'is 1 or 2, as many as the pattern has.');
        $before = [];
        foreach ($old->strokes as $stroke) {
            $before[$stroke->at] = $stroke;
        }
        $way = $old->usualWay();
        $new = array_map(static function (Stroke $stroke) use ($before, $way): Stroke {
            $same = $before[$stroke->at] ?? null;

            return $same !== null && CountLine::signs($same) === CountLine::signs($stroke)
                ? $same->movedTo($stroke->at, $stroke->division)
                : ($same === null ? $stroke : $same->recounted($stroke))->striking(...$way);
        }, $counted->streams[0]->strokes);
        $streams = $this->shaped($pattern, $counted->meter, $counted->bars(), $pattern->grid())->streams;
        $streams[$line] = new Stream($old->name, $new);

        return new Pattern($counted->meter, $counted->ticks, array_values($streams));
    }

    /** @return list<Stroke> */
    private function strokes(Stream $stream, Pattern $pattern, Meter $meter, int $ticks, int $slotTicks, int $grid): array
    {
        $from = $pattern->meter;
        $repeats = (int) ceil($ticks / $meter->barTicks() / $pattern->bars());
        $placed = [];
        for ($repeat = 0; $repeat < $repeats; $repeat++) {
            foreach ($stream->strokes as $stroke) {
                $bar = intdiv($stroke->at, $from->barTicks()) + $repeat * $pattern->bars();
                $beats = ($stroke->at % $from->barTicks()) / $from->beatTicks();
                if ($beats >= $meter->beats()) {
                    continue;
                }
                $at = $bar * $meter->barTicks() + (int) round($beats * $grid) * $slotTicks;
                if ($at < $ticks && ! isset($placed[$at])) {
                    $placed[$at] = $stroke->movedTo($at, $grid);
                }
            }
        }

        return array_values($placed);
    }
}
