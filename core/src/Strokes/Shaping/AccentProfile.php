<?php

declare(strict_types=1);

namespace Gravik\Strokes\Shaping;

use Gravik\Strokes\Articulation;
use Gravik\Strokes\Failure\StrokeChoiceUnknown;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;
use Gravik\Time\Meter;

/** Where the weight lies, laid over any pattern. */
enum AccentProfile: string
{
    case Flat = 'flat';
    case BackBeat = 'back-beat';
    case BoomChuck = 'boom-chuck';
    case Reset = 'reset';

    public static function parse(string $typed): self
    {
        return self::tryFrom($typed)
            ?? throw new StrokeChoiceUnknown('accent profile', $typed, implode(', ', array_column(self::cases(), 'value')));
    }

    public function over(Pattern $pattern): Pattern
    {
        return $pattern->withStreams(array_map(fn (Stream $stream): Stream => new Stream($stream->name, array_map(
            fn (Stroke $stroke): Stroke => $stroke->articulation === Articulation::Ghost
                ? $stroke
                : $stroke->accented($this->accentAt($stroke->at, $pattern->meter)),
            $stream->strokes,
        )), $pattern->streams));
    }

    /** Beats 2 and 4 answer the ones before them; in three the second and third do. */
    private function accentAt(int $at, Meter $meter): int
    {
        $beat = $meter->beatTicks();
        $within = $at % $meter->barTicks();
        $onBeat = $within % $beat === 0;
        $number = intdiv($within, $beat);
        $back = $meter->beats() === 3 ? $number > 0 : $number % 2 === 1;

        return match ($this) {
            self::Flat => 1,
            self::BackBeat => $onBeat && $back ? 2 : 1,
            self::BoomChuck => ! $onBeat ? 0 : ($back ? 2 : 0),
            // The first beat of the pattern alone: it belongs where a chord or a section changes.
            self::Reset => $at === 0 ? 3 : 1,
        };
    }
}
