<?php

declare(strict_types=1);

namespace Gravik\Lesson\Steps;

use Gravik\Breakdown\Breakdown;
use Gravik\Strokes\Action;
use Gravik\Strokes\Articulation;
use Gravik\Strokes\Length;
use Gravik\Strokes\NamedPattern;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;

/** Plays one thing of a song wrong, on purpose, so that it can be heard beside the right one. */
final readonly class Flawed
{
    /** Off-beats come this much early. */
    private const RUSHED_MS = 38.0;

    /** Of its slot a stroke lasts only this much. */
    private const GAPPED = 0.5;

    public static function with(Breakdown $song, Flaw $flaw): Breakdown
    {
        return $song->with(patterns: array_map(
            static fn (NamedPattern $each): NamedPattern => $each->with(self::pattern($each->pattern, $flaw)),
            $song->patterns,
        ));
    }

    /** @return list<Flaw> those that can be heard in a pattern: where it would sound the same there is nothing to compare */
    public static function audibleIn(Pattern $pattern): array
    {
        $any = static fn (callable $is): bool => array_filter($pattern->strokes(), $is) !== [];

        return array_values(array_filter(Flaw::cases(), static fn (Flaw $flaw): bool => match ($flaw) {
            Flaw::Rushed => $any(static fn (Stroke $stroke): bool => $stroke->at % $pattern->meter->beatTicks() !== 0),
            Flaw::Ringing => $any(StagedPattern::isReleased(...)),
            Flaw::Gapped => $any(self::isLeftToRing(...)),
            Flaw::Flat => $any(StagedPattern::isWeighted(...)),
            Flaw::Doubled => count(self::doubled($pattern)->strokes()) > count($pattern->strokes()),
        }));
    }

    private static function pattern(Pattern $pattern, Flaw $flaw): Pattern
    {
        return match ($flaw) {
            Flaw::Rushed => self::each($pattern, static fn (Stroke $stroke): Stroke => $stroke->at % $pattern->meter->beatTicks() === 0
                ? $stroke
                : $stroke->placed($stroke->offsetMs - self::RUSHED_MS)),
            Flaw::Ringing => self::each($pattern, StagedPattern::ringing(...)),
            Flaw::Gapped => self::each($pattern, static fn (Stroke $stroke): Stroke => self::isLeftToRing($stroke)
                ? $stroke->lasting(Length::ofSlot(self::GAPPED))
                : $stroke),
            Flaw::Flat => self::each($pattern, StagedPattern::even(...)),
            Flaw::Doubled => self::doubled($pattern),
        };
    }

    private static function isLeftToRing(Stroke $stroke): bool
    {
        return $stroke->articulation === Articulation::Ring && $stroke->length === null;
    }

    /** The thumb also strikes where only the fingers should. */
    private static function doubled(Pattern $pattern): Pattern
    {
        if (! isset($pattern->streams[1])) {
            return $pattern;
        }
        $bass = StagedPattern::bassLine($pattern);
        [$zone, , $by] = $pattern->streams[$bass]->usualWay();
        $thumb = $pattern->streams[$bass]->strokes;
        $taken = array_map(static fn (Stroke $stroke): int => $stroke->at, $thumb);
        foreach ($pattern->streams[1 - $bass]->strokes as $stroke) {
            if (! in_array($stroke->at, $taken, true)) {
                $thumb[] = new Stroke($stroke->at, $stroke->division, Action::Pick, by: $by, strings: $zone);
            }
        }
        $streams = $pattern->streams;
        $streams[$bass] = new Stream($streams[$bass]->name, $thumb);

        return $pattern->withStreams(array_values($streams));
    }

    /** @param callable(Stroke): Stroke $change */
    private static function each(Pattern $pattern, callable $change): Pattern
    {
        return $pattern->withStreams(array_map(
            static fn (Stream $stream): Stream => new Stream($stream->name, array_map($change, $stream->strokes)),
            $pattern->streams,
        ));
    }
}
