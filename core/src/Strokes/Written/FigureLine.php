<?php

declare(strict_types=1);

namespace Gravik\Strokes\Written;

use Gravik\Strokes\Failure\FigureNoteNotReadable;
use Gravik\Strokes\Ornament;
use Gravik\Strokes\OrnamentKind;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\Stream;
use Gravik\Strokes\StrokesException;
use Gravik\Time\Meter;
use Gravik\Words;

/**
 * A figure typed as it is counted, each syllable with the notes that are struck on it: "1=5:3 &=4:2+3:2 2!=4:5". A note is
 * string and fret; "3:5h7" hammers on from fret 5 to 7, p pulls off, s slides in, g is a grace note, b bends up to that fret. A
 * syllable without notes strikes the grip. Notes alone are spread evenly.
 */
final readonly class FigureLine
{
    private const NOTE = '/^([1-8]):(\d{1,2})(?:([hpsgbBr])(\d{1,2}))?$/';

    private const HOW = ['h' => OrnamentKind::HammerOn, 'p' => OrnamentKind::PullOff, 's' => OrnamentKind::SlideIn, 'g' => OrnamentKind::Grace,
        'b' => OrnamentKind::Bend, 'B' => OrnamentKind::Bent, 'r' => OrnamentKind::Release];

    /** Written from the fret that is pressed to the one that is reached. */
    private const UPWARDS = [OrnamentKind::Bend, OrnamentKind::Bent, OrnamentKind::Release];

    /** @param list<array<int, list<array{int, int, ?Ornament}>>> $notes one entry a stream: place of the stroke => string, fret, ornament */
    private function __construct(public Pattern $pattern, public array $notes) {}

    /**
     * @param non-empty-list<string> $typed one line a stream, one or two
     *
     * @throws StrokesException at the word that does not fit
     */
    public static function parse(array $typed, Meter $meter): self
    {
        $rhythm = new FigureRhythm($meter);
        $streams = $notes = [];
        $ticks = 0;
        foreach ($typed as $line) {
            $line = $rhythm->counted($line);
            $counted = CountLine::parse((string) preg_replace_callback(
                '/=\S*/u',
                static fn (array $word): string => str_repeat(' ', mb_strlen($word[0])),
                mb_scrub($line),
            ), $meter);
            $ticks = max($ticks, $counted->ticks);
            $streams[] = new Stream(count($typed) === 1 ? 'figure' : 'line '.(count($streams) + 1), $counted->streams[0]->strokes);
            $notes[] = self::notes($line);
        }

        return new self(new Pattern($meter, $ticks, $streams), $notes);
    }

    /** @return array<int, list<array{int, int, ?Ornament}>> by the place of the stroke among those that are said */
    private static function notes(string $line): array
    {
        $notes = [];
        $stroke = 0;
        foreach (Words::placed(strtr($line, ['|' => ' '])) as $at => $word) {
            [$said, $typed] = [...explode('=', $word, 2), ''];
            if (str_starts_with($said, '(')) {
                continue;
            }
            if (str_contains($word, '=')) {
                $place = $at + mb_strlen($said) + 1;
                foreach (explode('+', $typed) as $note) {
                    $notes[$stroke][] = self::note($note, $place);
                    $place += mb_strlen($note) + 1;
                }
            }
            $stroke++;
        }

        return $notes;
    }

    /** @return array{int, int, ?Ornament} */
    private static function note(string $typed, int $at): array
    {
        if (preg_match(self::NOTE, $typed, $found) !== 1) {
            throw new FigureNoteNotReadable($typed, $at);
        }
        [$string, $fret] = [(int) $found[1], (int) $found[2]];
        if (! isset($found[3], $found[4])) {
            return [$string, $fret, null];
        }
        $other = (int) $found[4];

        $kind = self::HOW[$found[3]] ?? throw new FigureNoteNotReadable($typed, $at);

        return in_array($kind, self::UPWARDS, true)
            ? [$string, $fret, new Ornament($kind, $other - $fret)]
            : [$string, $other, new Ornament($kind, $fret - $other)];
    }

    /**
     * As it would be typed.
     *
     * @param array<int, list<array{int, int, ?Ornament}>> $notes of one stream
     */
    public static function write(Pattern $pattern, int $stream, array $notes): string
    {
        $stroke = 0;
        $words = [];
        foreach (explode(' ', CountLine::write($pattern, $stream)) as $word) {
            if ($word !== '|' && ! str_starts_with($word, '(')) {
                $own = $notes[$stroke++] ?? [];
                $word .= $own === [] ? '' : '='.implode('+', array_map(self::written(...), $own));
            }
            $words[] = $word;
        }

        return implode(' ', $words);
    }

    /** @param array{int, int, ?Ornament} $note */
    private static function written(array $note): string
    {
        [$string, $fret, $ornament] = $note;
        $sign = $ornament === null ? false : array_search($ornament->kind, self::HOW, true);
        if ($ornament === null || $sign === false) {
            return "{$string}:{$fret}";
        }
        $other = $fret + $ornament->frets;

        return in_array($ornament->kind, self::UPWARDS, true) ? "{$string}:{$fret}{$sign}{$other}" : "{$string}:{$other}{$sign}{$fret}";
    }
}
