<?php

declare(strict_types=1);

namespace Gravik\Harmony;

use Gravik\Harmony\Internal\EndingReader;
use Gravik\Pitch\NoteName;

/**
 * Chords as roman numerals of a key, both ways. Upper case is major, lower case minor or diminished. In a minor key
 * III, VI and VII are its own (a minor third, sixth and seventh above the tonic), with or without a written flat;
 * a diminished vii stands on the raised seventh. V7/V reads as the V7 of the fifth degree.
 */
final readonly class Numeral
{
    private const NUMERALS = ['I', 'II', 'III', 'IV', 'V', 'VI', 'VII'];

    private const SHAPE = '/^([b♭#♯]?)(VII|VI|IV|V|III|II|I|vii|vi|iv|v|iii|ii|i)(?![A-Za-z])(.*)$/u';

    private const SHAPE_WITH_ENDING = '/^([b♭#♯]?)(VII|VI|IV|V|III|II|I|vii|vi|iv|v|iii|ii|i)((?:maj|M|Δ|°|o|ø|dim|aug|\+|sus|add|alt|no|m|[0-9(♭♯b#-]).*)?$/u';

    private const MAJOR = [0, 2, 4, 5, 7, 9, 11];

    public function __construct(private Key $key) {}

    public static function looksLikeOne(string $typed): bool
    {
        return preg_match(self::SHAPE, $typed) === 1 || preg_match(self::SHAPE_WITH_ENDING, $typed) === 1;
    }

    /** @throws ChordNotUnderstood */
    public function chord(string $typed): ChordSymbol
    {
        $typed = trim($typed);
        if (preg_match('/^(.+)\/([b♭#♯]?[IViv]+)$/u', $typed, $secondary) === 1) {
            $goal = $this->chord($secondary[2]);
            $local = new Key($goal->root, $goal->isMinor() ? Mode::Minor : Mode::Major);

            return (new self($local))->chord($secondary[1]);
        }
        if (preg_match(self::SHAPE_WITH_ENDING, $typed, $found) !== 1) {
            throw ChordNotUnderstood::noRoot($typed, null);
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

    public function text(ChordSymbol $chord): string
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
        $bass = $chord->bass === null ? '' : '/'.$chord->degreeOf($chord->bass->pitchClass())->text();
        if ($this->key->mode === Mode::Minor && $step === 6 && $sign === '♯' && $diminished) {
            $sign = '';
        }

        return $sign.($lower ? strtolower($numeral) : $numeral).$ending.$bass;
    }

    private function root(string $sign, int $step, bool $diminished): NoteName
    {
        $tonic = $this->key->tonic;
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

        return NoteName::withLetter($tonic->letter + $step, ($tonic->pitchClass() + self::MAJOR[$step] + $alter + 12) % 12);
    }

    /** @return array{string, int} the sign before the numeral and the step from 0 */
    private function place(NoteName $root): array
    {
        $semitones = ($root->pitchClass() - $this->key->tonic->pitchClass() + 12) % 12;
        $step = (($root->letter - $this->key->tonic->letter) % 7 + 7) % 7;
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
        return $this->key->mode === Mode::Minor && in_array($step, [2, 5, 6], true);
    }
}
