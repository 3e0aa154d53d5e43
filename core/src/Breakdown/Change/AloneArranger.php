<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Change;

use Gravik\Breakdown\Breakdown;
use Gravik\Chart\Pin;
use Gravik\Chart\VoicingLine;
use Gravik\Neck\Company;
use Gravik\Strokes\Action;
use Gravik\Strokes\Articulation;
use Gravik\Strokes\NamedPattern;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\PlayedBy;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;
use Gravik\Strokes\Zone;

/**
 * Arranges a part for a guitar alone: every pattern and every line of grips gets a stand-in that carries the bass and fills
 * the gaps. Stand-ins are patterns and lines like others; those that are there already stay as they are.
 */
final readonly class AloneArranger
{
    public function arrange(Breakdown $breakdown): Breakdown
    {
        $patterns = $breakdown->patterns;
        foreach (self::without($breakdown->patterns) as $pattern) {
            $id = FreeId::after('p', $patterns);
            $patterns[] = new NamedPattern(
                $id,
                self::named($pattern->name),
                self::filled($pattern->pattern),
                $pattern->school,
                $pattern->runsOn,
                $pattern->id,
            );
        }
        $lines = $breakdown->lines;
        foreach (self::without($breakdown->lines) as $line) {
            $id = FreeId::after('l', $lines);
            $lines[] = new VoicingLine(
                $id,
                self::named($line->name),
                Company::Alone,
                $line->wishes,
                self::rooted($breakdown, $line),
                $line->id,
            );
        }

        return $breakdown->with(patterns: $patterns, lines: $lines);
    }

    /**
     * Strong beats (the first, and the one half-way) get a thumb stroke in the bass where none sounds there; a beat in which
     * nothing is struck gets a light stroke of the chord.
     */
    public static function filled(Pattern $pattern): Pattern
    {
        $beatTicks = $pattern->meter->beatTicks();
        $beats = $pattern->meter->beats();
        $strong = $beats % 2 === 0 ? [0, intdiv($beats, 2)] : [0];
        $bassLine = count($pattern->streams) > 1 ? self::bassLine($pattern) : null;
        $chords = $pattern->streams[$bassLine === 0 ? 1 : 0]->strokes;
        $bass = $bassLine === null ? [] : $pattern->streams[$bassLine]->strokes;
        [$chordZone, $chordAction, $chordBy] = $pattern->streams[$bassLine === 0 ? 1 : 0]->usualWay();
        for ($beat = 0; $beat * $beatTicks < $pattern->ticks; $beat++) {
            $tick = $beat * $beatTicks;
            $here = array_filter(
                [...$chords, ...$bass],
                static fn (Stroke $stroke): bool => $stroke->at >= $tick && $stroke->at < $tick + $beatTicks,
            );
            $low = array_filter($here, static fn (Stroke $stroke): bool => $stroke->at === $tick && self::soundsLow($stroke));
            if (in_array($beat % $beats, $strong, true) && $low === []) {
                $bass[] = new Stroke($tick, 1, Action::Pick, by: PlayedBy::Thumb, strings: Zone::Bass);
            } elseif ($here === []) {
                $chords[] = new Stroke($tick, 1, $chordAction, by: $chordBy, strings: $chordZone, accent: 0);
            }
        }
        $names = array_map(static fn (Stream $stream): string => $stream->name, $pattern->streams);
        $streams = $bassLine === 0
            ? [new Stream($names[0], $bass), new Stream($names[1], $chords)]
            : [new Stream($names[0], $chords), ...$bass === [] ? [] : [new Stream($names[1] ?? 'thumb', self::apart($bass))]];

        return $pattern->withStreams($streams);
    }

    /**
     * @param list<Stroke> $strokes
     *
     * @return list<Stroke> one at a tick
     */
    private static function apart(array $strokes): array
    {
        $byTick = [];
        foreach ($strokes as $stroke) {
            $byTick[$stroke->at] ??= $stroke;
        }

        return array_values($byTick);
    }

    private static function bassLine(Pattern $pattern): int
    {
        $low = array_filter($pattern->streams, static fn (Stream $stream): bool => $stream->usualWay()[2] === PlayedBy::Thumb
            || in_array($stream->usualWay()[0], [Zone::Bass, Zone::Low], true));

        return array_key_first($low) ?? 1;
    }

    /** Whether a stroke sounds the lowest string of its grip: single strings may or may not. */
    private static function soundsLow(Stroke $stroke): bool
    {
        return ! $stroke->isDead() && $stroke->articulation !== Articulation::Ghost
            && in_array($stroke->strings, [Zone::All, Zone::Bass, Zone::Low], true);
    }

    /** @return list<Pin> those whose grip has its bass */
    private static function rooted(Breakdown $breakdown, VoicingLine $line): array
    {
        $reader = $breakdown->start->reader();
        $open = $breakdown->neck->openMidi();

        return array_values(array_filter($line->pins, static function (Pin $pin) use ($reader, $open): bool {
            $chord = $reader->chord($pin->symbol);
            foreach ($pin->frets as $string => $fret) {
                if ($fret !== null) {
                    return (($open[$string] ?? 0) + $fret) % 12 === ($chord->bass ?? $chord->root)->pitchClass();
                }
            }

            return false;
        }));
    }

    /**
     * @template T of NamedPattern|VoicingLine
     *
     * @param list<T> $all
     *
     * @return list<T> those that have no stand-in yet and are none
     */
    private static function without(array $all): array
    {
        $have = array_map(static fn (NamedPattern|VoicingLine $each): ?string => $each->aloneOf, $all);

        return array_values(array_filter(
            $all,
            static fn (NamedPattern|VoicingLine $each): bool => $each->aloneOf === null && ! in_array($each->id, $have, true),
        ));
    }

    private static function named(string $name): string
    {
        return mb_substr(trim("{$name} alone"), 0, 40);
    }
}
