<?php

declare(strict_types=1);

use Gravik\Harmony\ChordNamer;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\CommonTone;
use Gravik\Harmony\Degree;
use Gravik\Harmony\GuideTones;
use Gravik\Harmony\Key;
use Gravik\Harmony\Numeral;
use Gravik\Harmony\Scale;
use Gravik\Tests\Support\Frozen;

const ENDINGS = ['', 'm', '7', 'maj7', 'm7', '6', 'm6', '6/9', '9', 'm9', 'maj9', '11', 'm11', '13', 'maj13', 'm13', '7♭5', '7♯5', '7♭9',
    '7♯9',
    '13♭9', '7♭9♯11', '7alt', 'dim', 'dim7', 'm7♭5', 'aug', 'maj7♯5', 'sus4', 'sus2', '7sus4', '9sus4', 'add9', 'madd9', '5', 'mmaj7',
    'maj7♯11',
    '7no5', '7no3', '/G', '7/B♭', 'm7♭5/G♭', 'maj7♭9', '+7', 'xyz', '77', 'm♯3', '7♭5♯5', 'sus4sus2', 'add4', '69', '♭9', 'no1', '7no5no3',
    'no5', 'no3', 'sus2no5', '5no5', 'mno5', '6no5', 'maj7no3', '9no7', 'add9no3', 'augno5', '13no5', 'm7♯5', '7♯5♯9', '7♭5♭9', '7♯9♯11',
    '13♯11', 'm7♭9', '6♭5', 'm6/9', 'maj7♯9', 'dimmaj7', 'm9♭5', '11♭9'];

it('reads, spells and names chords as it did', function (): void {
    $figures = [];
    foreach (ENDINGS as $number => $ending) {
        $typed = ['C', 'F♯', 'B♭', 'E', 'A♭'][$number % 5].$ending;
        $figures["chord {$typed}"] = static function () use ($typed): array {
            $chord = ChordSymbol::parse($typed);

            return [
                $chord, $chord->required, $chord->optional, $chord->oneOf, $chord->shell, $chord->power, $chord->isMinor(),
                $chord->degrees(),
                GuideTones::of($chord), array_map($chord->degreeOf(...), range(0, 11)), array_map($chord->spell(...), range(0, 11)),
                array_map($chord->has(...), range(48, 59)), array_map($chord->isFoughtBy(...), range(48, 59)),
            ];
        };
        foreach (['C major', 'E♭ major', 'F♯ minor', 'D minor'] as $in) {
            $figures["numeral {$typed} {$in}"] = static fn (): array => [
                Numeral::in(Key::parse($in))->text(ChordSymbol::parse($typed)),
                Numeral::in(Key::parse($in))->plain(ChordSymbol::parse($typed)),
                Key::parse($in)->carryChord(ChordSymbol::parse($typed), Key::parse('A major')),
            ];
        }
    }
    foreach (['I', 'ii7', 'V7/V', '♭VII7', 'iv6', '♯ivdim7', 'IVmaj7', 'vii7♭5', 'VIII', 'V7♭9', '♭♭II', 'i', 'iix'] as $typed) {
        foreach (['C major', 'A minor', 'D♭ major'] as $in) {
            $figures["typed {$typed} {$in}"] = static fn (): array => [
                Numeral::looksLikeOne($typed),
                Numeral::in(Key::parse($in))->chord($typed),
            ];
        }
    }
    foreach (['C major', 'G♭ major', 'A♯ minor', 'E minor', 'c', 'Am', 'H major', 'F♯', 'D♯ major'] as $typed) {
        $figures["key {$typed}"] = static function () use ($typed): array {
            $key = Key::parse($typed);
            $other = Key::parse('E♭ major');

            return [
                $key, $key->signature(), $key->tonicTriad(), $key->semitonesTo($other), $other->semitonesTo($key),
                $key->carryKey($key, $other),
                array_map($key->spell(...), range(0, 11)), array_map($key->spellLeading(...), range(0, 11)),
                array_map($key->noteWords(...), [-3, 0, 40, 61, 127, 140]),
                array_map(static fn (int $class): mixed => $key->carry($key->spell($class), $other), range(0, 11)),
            ];
        };
        foreach (
            ['major', 'minor', 'dorian', 'mixolydian', 'blues', 'whole-tone', 'major-pentatonic', 'minor-pentatonic', 'nothing'] as $name
        ) {
            $figures["scale {$typed} {$name}"] = static fn (): array => array_map(
                Scale::named($name, Key::parse($typed))->has(...),
                range(0, 11),
            );
        }
    }
    $sets = [[48, 52, 55], [52, 55, 60, 64], [48, 52, 55, 58], [45, 52, 55, 60], [41, 48, 52, 57, 62], [50, 53, 57, 60], [52, 58, 62],
        [46, 50, 56],
        [43, 47, 53, 57], [48, 49, 50], [47, 50, 53, 56], [40, 47, 52, 56, 59, 64], [48, 55], [53, 57, 60, 64, 67], [51, 55, 58, 62],
        [56, 60, 62, 66]];
    foreach ($sets as $midi) {
        foreach ([[null, null], ['C major', null], ['E♭ major', 'B♭7'], ['A minor', 'Am7']] as [$in, $asked]) {
            $figures['names '.implode(' ', $midi)." {$in} {$asked}"] = static fn (): array => (new ChordNamer(
                $in === null ? null : Key::parse($in),
                $asked === null ? null : ChordSymbol::parse($asked),
            ))->names($midi);
        }
    }
    foreach (['C Am F G', 'C7 B7 B♭7 A7', 'Dm7 G7 Cmaj7', 'E♭m7 A♭7 D♭maj7 Cm7♭5', 'C E A♭'] as $line) {
        $figures["common {$line}"] = static fn (): array => CommonTone::of(array_map(ChordSymbol::parse(...), explode(' ', $line)));
    }
    foreach (['Cmaj7sus', 'Cmmm', 'C7b55', 'Cmaj', 'CM7', 'C-7', 'C°', 'Cø', 'C7sus', 'Cdom7', 'Csus24',
        'C'.str_repeat('7', 64), 'C'.str_repeat('m7', 40), 'Cdimm', 'Caugg7', 'C13b9#11', 'Cm7-5', 'C add9', 'C(add9)', 'C7(♭9)', 'Q7', 'Cmin7', 'Cmajor', 'C6add9'] as $typed) {
        $figures["typed {$typed}"] = static fn (): array => [ChordSymbol::parse($typed)->text(), ChordSymbol::parse($typed)->degrees()];
    }
    foreach (range(1, 13) as $number) {
        foreach ([-2, -1, 0, 1, 2] as $alter) {
            $figures["degree {$number} {$alter}"] = static function () use ($number, $alter): array {
                $degree = new Degree($number, $alter);

                return [$degree->semitones(), $degree->label(), $degree->text()];
            };
        }
    }
    Frozen::hold('harmony', $figures);
});
