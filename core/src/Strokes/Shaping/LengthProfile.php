<?php

declare(strict_types=1);

namespace Gravik\Strokes\Shaping;

use Gravik\Strokes\Articulation;
use Gravik\Strokes\Failure\StrokeChoiceUnknown;
use Gravik\Strokes\Length;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;

/** Which strokes are let go early, laid over any pattern: stages to learn one after the other. */
enum LengthProfile: string
{
    case Ringing = 'ringing';
    case LongDry = 'long-dry';
    case ReleaseTwoAndFour = 'release-2-4';
    case ReleaseAll = 'release-all';

    private const DRY = 0.4;

    private const RELEASED = 0.75;

    public static function parse(string $typed): self
    {
        return self::tryFrom($typed)
            ?? throw new StrokeChoiceUnknown('length profile', $typed, implode(', ', array_column(self::cases(), 'value')));
    }

    /** Strokes on a beat get their length; what lies between keeps its own. */
    public function over(Pattern $pattern): Pattern
    {
        $beat = $pattern->meter->beatTicks();

        return $pattern->withStreams(array_map(fn (Stream $stream): Stream => new Stream($stream->name, array_map(
            fn (Stroke $stroke): Stroke => $stroke->at % $beat === 0
                && in_array($stroke->articulation, [Articulation::Ring, Articulation::Short], true)
                ? $this->applied($stroke, intdiv($stroke->at % $pattern->meter->barTicks(), $beat) % 2 === 1)
                : $stroke,
            $stream->strokes,
        )), $pattern->streams));
    }

    private function applied(Stroke $stroke, bool $back): Stroke
    {
        return match ($this) {
            self::Ringing => $stroke->articulated(Articulation::Ring)->lasting(null),
            self::LongDry => $back
                ? $stroke->articulated(Articulation::Short)->lasting(Length::ofSlot(self::DRY))
                : $stroke->articulated(Articulation::Ring)->lasting(null),
            self::ReleaseTwoAndFour => $back
                ? $stroke->articulated(Articulation::Short)->lasting(Length::ofSlot(self::RELEASED))
                : $stroke->articulated(Articulation::Ring)->lasting(null),
            self::ReleaseAll => $stroke->articulated(Articulation::Short)->lasting(Length::ofSlot(self::RELEASED)),
        };
    }
}
