<?php

declare(strict_types=1);

namespace Gravik\Harmony;

use Gravik\Harmony\Failure\ChordWithoutRoot;
use Gravik\Harmony\Internal\EndingReader;
use Gravik\Pitch\NoteName;

/**
 * Chords as roman numerals of a key, both ways. Upper case is major, lower case minor or diminished. In a minor key
 * III, VI and VII are its own (a minor third, sixth and seventh above the tonic), with or without a written flat;
 * a diminished vii stands on the raised seventh. V7/V is the V7 of the fifth degree, and so is II7, which is printed that
 * way; V7↓3 is a V7 with its third in the bass.
 */
final readonly class Numeral
{
    private const NUMERALS = ['I', 'II', 'III', 'IV', 'V', 'VI', 'VII'];

    private const SHAPE = '/^([b♭#♯]?)(VII|VI|IV|V|III|II|I|vii|vi|iv|v|iii|ii|i)(?![A-Za-z])(.*)$/u';

    private const SHAPE_WITH_ENDING = '/^([b♭#♯]?)(VII|VI|IV|V|III|II|I|vii|vi|iv|v|iii|ii|i)((?:maj|M|Δ|°|o|ø|dim|aug|\+|sus|add|alt|no|m|[0-9(♭♯b#-]).*)?$/u';

    private const MAJOR = [0, 2, 4, 5, 7, 9, 11];

    /** By semitones above the tonic: the degree that a dominant on the fifth above it leads to, where the key has a chord there. */
    private const GOALS = [
        'major' => [2 => 'ii', 4 => 'iii', 5 => 'IV', 7 => 'V', 9 => 'vi'],
        'minor' => [3 => 'III', 5 => 'iv', 7 => 'V', 8 => 'VI', 10 => 'VII'],
    ];

    private function __construct(private NoteName $tonic, private Mode $mode) {}

    public static function in(Key $key): self
    {
        return new self($key->tonic, $key->mode);
    }

    public static function looksLikeOne(string $typed): bool
    {
        return preg_match(self::SHAPE, $typed) === 1 || preg_match(self::SHAPE_WITH_ENDING, $typed) === 1;
    }

    /** @throws ChordNotUnderstood */
    public function chord(string $typed): ChordSymbol
    {
        $typed = trim($typed);
        if (preg_match('/^(.+)[↓_\/]([b♭#♯]{0,2})(\d{1,2})$/u', $typed, $inverted) === 1 && preg_match('/[69]\/9$/u', $typed) !== 1) {
            $chord = $this->chord($inverted[1]);
            $degree = new Degree(
                (int) $inverted[3],
                substr_count(strtr($inverted[2], ['♯' => '#']), '#') - substr_count(strtr($inverted[2], ['♭' => 'b']), 'b'),
            );

            return $chord->onRoot(
                $chord->root,
                NoteName::withLetter($chord->root->letter + $degree->number - 1, ($chord->rootPitchClass() + $degree->semitones()) % 12),
            );
        }
        if (preg_match('/^(.+)\/([b♭#♯]?[IViv]+)$/u', $typed, $secondary) === 1) {
            return $this->within($this->chord($secondary[2]))->chord($secondary[1]);
        }
        if (preg_match(self::SHAPE_WITH_ENDING, $typed, $found) !== 1) {
            throw new ChordWithoutRoot($typed, null);
        }
        $lower = $found[2] === mb_strtolower($found[2]);
        $text = $found[3] ?? '';
        $diminished = preg_match('/^(?:°|o|ø|dim)/u', $text) === 1;
        $root = $this->root($found[1], (int) array_search(strtoupper($found[2]), self::NUMERALS, true), $lower && $diminished);
        $minor = $lower && ! $diminished && preg_match('/^m(?!aj)/u', $text) !== 1 && ! str_starts_with($text, 'sus');
        $shown = mb_strlen($found[1].$found[2]);
        $ending = (new EndingReader($typed, $shown))->read(($minor ? 'm' : '').$text);

        return $ending->on($root, null);
    }

    /** As it works in the key: a dominant that leads to another degree is told by its goal. */
    public function text(ChordSymbol $chord): string
    {
        $goal = $this->goal($chord);

        return $goal === null ? $this->plain($chord) : 'V'.$chord->ending.'/'.$goal.self::bass($chord);
    }

    /** By the step it stands on alone: II7 where text() says V7/V. */
    public function plain(ChordSymbol $chord): string
    {
        [$sign, $step] = $this->place($chord->root);
        $ending = $chord->ending;
        $diminished = str_starts_with($ending, 'dim') || str_starts_with($ending, 'm7♭5');
        $lower = $chord->isMinor();
        if ($lower && ! $diminished) {
            $ending = (string) preg_replace('/^m(?!aj)/u', '', $ending);
        }
        $ending = strtr($ending, ['dim' => '°', 'm7♭5' => 'ø7']);
        $numeral = self::NUMERALS[$step];
        // A diminished seventh degree stands on the raised seventh of a minor key unless it says otherwise.
        if ($this->mode === Mode::Minor && $step === 6 && $diminished) {
            $sign = match ($sign) {
                '♯' => '', '' => '♭', default => $sign
            };
        }

        return $sign.($lower ? strtolower($numeral) : $numeral).$ending.self::bass($chord);
    }

    /** The degree that a dominant seventh foreign to the key leads to; null for every other chord. */
    private function goal(ChordSymbol $chord): ?string
    {
        $semitones = ($chord->rootPitchClass() - $this->tonic->pitchClass() + 12) % 12;
        $own = array_map(static fn (Degree $degree): int => ($semitones + $degree->semitones()) % 12, [new Degree(1), ...$chord->shell]);
        $dominant = array_map(static fn (Degree $degree): string => $degree->text(), $chord->shell) === ['3', '♭7'];
        $athome = array_diff($own, $this->mode->steps()) === []
            || ($this->mode === Mode::Major && in_array($semitones, [0, 5], true))
            || ($this->mode === Mode::Minor && $semitones === 7);
        $goal = self::GOALS[$this->mode->value][($semitones + 5) % 12] ?? null;
        if (! $dominant || $athome || $goal === null) {
            return null;
        }
        $text = 'V'.$chord->ending.'/'.$goal;

        // Said that way only where it is read back as the very same chord.
        return $this->chord($text)->text() === $chord->onRoot($chord->root, null)->text() ? $goal : null;
    }

    private static function bass(ChordSymbol $chord): string
    {
        return $chord->bass === null ? '' : '↓'.$chord->degreeOf($chord->bass->pitchClass())->text();
    }

    /** Numerals of the key that a chord is the tonic of, also where that key has too many signs for a signature. */
    private function within(ChordSymbol $goal): self
    {
        return new self($goal->root, $goal->isMinor() ? Mode::Minor : Mode::Major);
    }

    private function root(string $sign, int $step, bool $diminished): NoteName
    {
        $alter = match ($sign) {
            'b', '♭' => -1, '#', '♯' => 1, default => 0
        };
        if ($this->ownLowered($step)) {
            $alter = match (true) {
                $diminished && $step === 6 && $alter === 0 => 0,
                $alter === 1 => 0,
                default => -1,
            };
        }

        return NoteName::withLetter($this->tonic->letter + $step, ($this->tonic->pitchClass() + self::MAJOR[$step] + $alter + 12) % 12);
    }

    /** @return array{string, int} the sign before the numeral and the step from 0 */
    private function place(NoteName $root): array
    {
        $semitones = ($root->pitchClass() - $this->tonic->pitchClass() + 12) % 12;
        $step = (($root->letter - $this->tonic->letter) % 7 + 7) % 7;
        $alter = ($semitones - self::MAJOR[$step] + 6 + 12) % 12 - 6;
        if (abs($alter) > 1) {
            $step = [0, 1, 1, 2, 2, 3, 4, 4, 5, 5, 6, 6][$semitones];
            $alter = $semitones - self::MAJOR[$step];
        }
        $alter += $this->ownLowered($step) ? 1 : 0;

        return [match (true) {
            $alter < 0 => '♭', $alter > 0 => '♯', default => ''
        }, $step];
    }

    private function ownLowered(int $step): bool
    {
        return $this->mode === Mode::Minor && in_array($step, [2, 5, 6], true);
    }
}
