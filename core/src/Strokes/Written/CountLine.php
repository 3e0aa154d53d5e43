<?php

declare(strict_types=1);

namespace Gravik\Strokes\Written;

use Gravik\Strokes\Articulation;
use Gravik\Strokes\ChordOf;
use Gravik\Strokes\Counting;
use Gravik\Strokes\Direction;
use Gravik\Strokes\Failure\BeatCountedInTwoDivisions;
use Gravik\Strokes\Failure\BeatCountedOutOfTurn;
use Gravik\Strokes\Failure\CountedBeatsDoNotFit;
use Gravik\Strokes\Failure\CountedOutOfOrder;
use Gravik\Strokes\Failure\SyllableNotCounted;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;
use Gravik\Strokes\StrokesException;
use Gravik\Time\Meter;
use Gravik\Words;

/**
 * A pattern typed as it is counted aloud: "1 & (2) & 3 & (4) &". What is said is struck, what stands in brackets passes
 * through air. A sign after a syllable says how: ! accented (!! and !!! harder), x dead, ~ ghost, . short, _ palm-muted,
 * > belongs to the next chord, o sounds the open strings, v and ^ fix down and up. Each beat is divided by the syllables in
 * it; | is for the eye.
 */
final readonly class CountLine
{
    private const SIGNS = '/^(\()?(\d|&|e|a|trip|let|ta)(\))?([!x~._>ov^]*)$/u';

    /** syllable => where it lies in a beat divided so: division => slot */
    private const PLACES = [
        '&' => [2 => 1, 4 => 2], 'e' => [4 => 1], 'a' => [4 => 3], 'trip' => [3 => 1, 6 => 2], 'let' => [3 => 2, 6 => 4],
    ];

    private const DOTTED_PLACES = ['&' => [3 => 1, 6 => 2], 'a' => [3 => 2, 6 => 4]];

    /** @throws StrokesException at the syllable that does not fit */
    public static function parse(string $typed, Meter $meter): Pattern
    {
        $beats = self::beats($typed, $meter);
        $perBar = $meter->beats();
        if ($beats === [] || count($beats) % $perBar !== 0 || count($beats) > 4 * $perBar) {
            throw new CountedBeatsDoNotFit(count($beats), $perBar, $meter->text());
        }
        $strokes = [];
        foreach ($beats as $number => $syllables) {
            $division = self::division(array_column($syllables, 'said'), $meter);
            if ($division === null) {
                throw new BeatCountedInTwoDivisions(
                    implode(' ', array_column($syllables, 'said')),
                    $number % $perBar + 1,
                    $syllables[0]['at'],
                );
            }
            $last = -1;
            $ta = 0;
            foreach ($syllables as $syllable) {
                $slot = self::slot($syllable['said'], $division, $meter, $ta);
                if ($slot <= $last) {
                    throw new CountedOutOfOrder($syllable['said'], $number % $perBar + 1, $syllable['at']);
                }
                $last = $slot;
                if (! $syllable['air']) {
                    $strokes[] = self::stroke(
                        $syllable['signs'],
                        $number * $meter->beatTicks() + intdiv($slot * $meter->beatTicks(), $division),
                        $division,
                    );
                }
            }
        }

        return new Pattern($meter, intdiv(count($beats), $perBar) * $meter->barTicks(), [new Stream('strum', $strokes)]);
    }

    /**
     * One line of a pattern as it is counted; places of the hand that are not struck stand in brackets.
     *
     * @param int $line of the pattern, from 0
     */
    public static function write(Pattern $pattern, int $line = 0): string
    {
        $meter = $pattern->meter;
        $at = [];
        foreach ($pattern->streams[$line]->strokes ?? [] as $stroke) {
            $at[intdiv($stroke->at, $meter->beatTicks())][$stroke->at % $meter->beatTicks()] = $stroke;
        }
        $bars = [];
        for ($beat = 0; $beat < intdiv($pattern->ticks, $meter->beatTicks()); $beat++) {
            $struck = $at[$beat] ?? [];
            $division = max([1, ...array_map(static fn (Stroke $stroke): int => $stroke->division, array_values($struck))]);
            $said = [];
            foreach (array_slice(
                Counting::syllables($meter, $division),
                ($beat % $meter->beats()) * $division,
                $division,
            ) as $slot => $syllable) {
                $stroke = $struck[intdiv($slot * $meter->beatTicks(), $division)] ?? null;
                $said[] = $stroke === null ? "({$syllable})" : $syllable.self::signs($stroke);
            }
            $bars[intdiv($beat, $meter->beats())][] = implode(' ', $said);
        }

        return implode(' | ', array_map(static fn (array $inBar): string => implode(' ', $inBar), $bars));
    }

    /** @return list<non-empty-list<array{said: string, air: bool, signs: string, at: int}>> beat by beat */
    private static function beats(string $typed, Meter $meter): array
    {
        $beats = [];
        foreach (Words::placed(strtr($typed, ['|' => ' '])) as $at => $word) {
            if (preg_match(self::SIGNS, $word, $found) !== 1 || ($found[1] === '') !== ($found[3] === '')) {
                throw new SyllableNotCounted($word, $at);
            }
            $said = $found[2];
            $isBeat = ctype_digit($said);
            if ($isBeat && (int) $said !== count($beats) % $meter->beats() + 1) {
                throw new BeatCountedOutOfTurn($said, count($beats) % $meter->beats() + 1, $at);
            }
            if (! $isBeat && $beats === []) {
                throw new BeatCountedOutOfTurn($said, 1, $at);
            }
            $syllable = ['said' => $said, 'air' => $found[1] !== '', 'signs' => $found[4], 'at' => $at];
            if ($isBeat) {
                $beats[] = [$syllable];
            } else {
                $beats[count($beats) - 1][] = $syllable;
            }
        }

        return $beats;
    }

    /**
     * The coarsest division of the beat that has all of these syllables.
     *
     * @param list<string> $said
     */
    private static function division(array $said, Meter $meter): ?int
    {
        $places = $meter->isCompound() ? self::DOTTED_PLACES : self::PLACES;
        $rest = array_slice($said, 1);
        if ($rest === []) {
            return 1;
        }
        if (in_array('ta', $rest, true)) {
            return 6;
        }
        foreach ([2, 3, 4] as $division) {
            if (array_filter($rest, static fn (string $syllable): bool => ! isset($places[$syllable][$division])) === []) {
                return $division;
            }
        }

        return null;
    }

    private static function slot(string $said, int $division, Meter $meter, int &$ta): int
    {
        if (ctype_digit($said)) {
            return 0;
        }
        if ($said === 'ta') {
            return 2 * $ta++ + 1;
        }
        $slot = ($meter->isCompound() ? self::DOTTED_PLACES : self::PLACES)[$said][$division] ?? 0;
        $ta = intdiv($slot, 2);

        return $slot;
    }

    private static function stroke(string $signs, int $at, int $division): Stroke
    {
        $has = static fn (string $sign): bool => str_contains($signs, $sign);
        $articulation = match (true) {
            $has('x') => Articulation::Chuck,
            $has('~') => Articulation::Ghost,
            $has('.') => Articulation::Short,
            $has('_') => Articulation::PalmMute,
            default => Articulation::Ring,
        };
        $direction = $has('v') ? Direction::Down : ($has('^') ? Direction::Up : null);
        $accent = $articulation === Articulation::Ghost ? 0 : min(Stroke::STRONGEST_ACCENT, 1 + substr_count($signs, '!'));

        return new Stroke(
            $at,
            $division,
            direction: $direction,
            articulation: $articulation,
            accent: $accent,
            chord: $has('>') ? ChordOf::Next : ($has('o') ? ChordOf::Open : ChordOf::This),
            fixed: $direction === null ? [] : ['direction'],
        );
    }

    /** What stands behind a syllable for this stroke. */
    public static function signs(Stroke $stroke): string
    {
        return str_repeat('!', max(0, $stroke->accent - 1)).match ($stroke->articulation) {
            Articulation::Chuck => 'x',
            Articulation::Ghost => '~',
            Articulation::Short => '.',
            Articulation::PalmMute => '_',
            Articulation::Ring => '',
        }.match ($stroke->chord) {
            ChordOf::This => '',
            ChordOf::Next => '>',
            ChordOf::Open => 'o',
        }.($stroke->hasFixed('direction') ? ($stroke->direction === Direction::Up ? '^' : 'v') : '');
    }
}
