<?php

declare(strict_types=1);

namespace Gravik\Lesson\Steps;

use Gravik\Lesson\Backing;
use Gravik\Strokes\Articulation;
use Gravik\Strokes\ChordOf;
use Gravik\Strokes\LengthKind;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\PlayedBy;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;
use Gravik\Strokes\Zone;

/** A pattern with only those of its qualities that a stage has come to. */
final readonly class StagedPattern
{
    /** @param list<Layer> $layers that are in it already */
    public static function with(Pattern $pattern, array $layers): Pattern
    {
        $has = static fn (Layer $layer): bool => in_array($layer, $layers, true);

        return self::each($pattern, static function (Stroke $stroke) use ($pattern, $has): Stroke {
            $release = self::isBackBeat($pattern, $stroke) ? Layer::Releases : Layer::AllReleases;
            $stroke = $has($release) ? $stroke : self::ringing($stroke);
            $stroke = $has(Layer::Accents) ? $stroke : self::even($stroke);

            return $has(Layer::Ornaments) ? $stroke : self::onItsBeat($pattern, $stroke->plain());
        });
    }

    /** All of it on damped strings, every stroke as heavy as the other. */
    public static function damped(Pattern $pattern): Pattern
    {
        return self::each($pattern, static fn (Stroke $stroke): Stroke => self::onItsBeat(
            $pattern,
            self::even($stroke)->plain()->articulated(Articulation::Chuck)->lasting(null),
        ));
    }

    /** Which of two lines is the bass: the one whose strokes lie lowest, the second where both lie alike. */
    public static function bassLine(Pattern $pattern): int
    {
        $low = static fn (Stream $stream): bool => in_array($stream->usualWay()[0], [Zone::Bass, Zone::Low], true)
            || $stream->usualWay()[2] === PlayedBy::Thumb;

        return isset($pattern->streams[1]) && ! ($low($pattern->streams[0]) && ! $low($pattern->streams[1])) ? 1 : 0;
    }

    /** One of its two lines. */
    public static function line(Pattern $pattern, int $line): Pattern
    {
        return isset($pattern->streams[$line]) ? $pattern->withStreams([$pattern->streams[$line]]) : $pattern;
    }

    public static function isBackBeat(Pattern $pattern, Stroke $stroke): bool
    {
        $inBar = $stroke->at % $pattern->meter->barTicks();
        $beat = $pattern->meter->beatTicks();

        return $inBar % $beat === 0 && in_array(intdiv($inBar, $beat), Backing::BackBeat->beats($pattern->meter), true);
    }

    /** Whether a stroke is let go, or never rings. */
    public static function isReleased(Stroke $stroke): bool
    {
        return in_array($stroke->articulation, [Articulation::Short, Articulation::PalmMute, Articulation::Chuck], true)
            || in_array($stroke->length?->kind, [LengthKind::InTicks, LengthKind::ShareOfSlot], true)
            || $stroke->ends !== [];
    }

    /** Whether it is heavier or lighter than any other. */
    public static function isWeighted(Stroke $stroke): bool
    {
        return $stroke->accent !== 1 || $stroke->articulation === Articulation::Ghost;
    }

    /** Left to ring, all strings alike. */
    public static function ringing(Stroke $stroke): Stroke
    {
        if (! self::isReleased($stroke)) {
            return $stroke;
        }

        return ($stroke->articulation === Articulation::Ghost ? $stroke : $stroke->articulated(Articulation::Ring))
            ->lasting(null)->endingTogether();
    }

    /** As heavy as any other. */
    public static function even(Stroke $stroke): Stroke
    {
        return ($stroke->articulation === Articulation::Ghost ? $stroke->articulated(Articulation::Ring) : $stroke)->accented(1);
    }

    /** A push comes with its chord, not before it. */
    private static function onItsBeat(Pattern $pattern, Stroke $stroke): Stroke
    {
        if ($stroke->chord !== ChordOf::Next) {
            return $stroke;
        }
        $beat = $pattern->meter->beatTicks();

        return $stroke->withItsChord(intdiv($stroke->at + $beat - 1, $beat) * $beat % $pattern->ticks);
    }

    /** @param callable(Stroke): Stroke $change */
    private static function each(Pattern $pattern, callable $change): Pattern
    {
        return $pattern->withStreams(array_map(static function (Stream $stream) use ($change): Stream {
            $byTick = [];
            // A push that is taken back gives way to a stroke that stands on its beat already.
            $standing = array_map(static fn (Stroke $stroke): int => $stroke->at, $stream->strokes);
            foreach ($stream->strokes as $stroke) {
                $changed = $change($stroke);
                if ($changed->at === $stroke->at || ! in_array($changed->at, $standing, true)) {
                    $byTick[$changed->at] = $changed;
                }
            }

            return new Stream($stream->name, array_values($byTick));
        }, $pattern->streams));
    }
}
