<?php

declare(strict_types=1);

namespace Gravik\Strokes;

use Gravik\Time\Meter;
use Gravik\Time\TimeException;

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
        in_array($grid, [1, 2, 3, 4, 6], true) || throw TimeException::division($grid);
        ($bars >= 1 && $bars <= 4) || throw StrokesException::length($bars * $meter->barTicks(), $meter->barTicks());
        $slotTicks = intdiv($meter->beatTicks(), $grid);
        $ticks = $bars * $meter->barTicks();
        $streams = array_map(fn (Stream $stream): Stream => new Stream($stream->name, $this->strokes($stream, $pattern, $meter, $ticks, $slotTicks, $grid)), $pattern->streams);

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
        in_array($division, [1, 2, 3, 4, 6], true) || throw TimeException::division($division);
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

    /** Its first stream as it was counted anew, over as many bars as were counted; a second stream stays under it. */
    public function recounted(Pattern $pattern, Pattern $counted): Pattern
    {
        $before = [];
        foreach ($pattern->streams[0]->strokes as $stroke) {
            $before[$stroke->at] = $stroke;
        }
        $first = array_map(static fn (Stroke $stroke): Stroke => isset($before[$stroke->at]) ? $before[$stroke->at]->recounted($stroke) : $stroke, $counted->streams[0]->strokes);
        $others = array_slice($this->shaped($pattern, $counted->meter, $counted->bars(), $pattern->grid())->streams, 1);

        return new Pattern($counted->meter, $counted->ticks, [new Stream($pattern->streams[0]->name, $first), ...$others]);
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
