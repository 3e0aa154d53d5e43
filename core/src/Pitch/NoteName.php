<?php

declare(strict_types=1);

namespace Gravik\Pitch;

use Gravik\Pitch\Failure\NoteNameNotReadable;
use Gravik\Pitch\Failure\NoteNotPossible;

/** A spelled note without an octave: a letter (0 = C … 6 = B) and −2 (double flat) to 2 (double sharp). */
final readonly class NoteName
{
    private const LETTERS = ['C', 'D', 'E', 'F', 'G', 'A', 'B'];

    private const NATURALS = [0, 2, 4, 5, 7, 9, 11];

    private const SIGNS = [-2 => '𝄫', -1 => '♭', 0 => '', 1 => '♯', 2 => '𝄪'];

    private const PLAIN_SPELLINGS = [
        'sharp' => [[0, 0], [0, 1], [1, 0], [1, 1], [2, 0], [3, 0], [3, 1], [4, 0], [4, 1], [5, 0], [5, 1], [6, 0]],
        'flat' => [[0, 0], [1, -1], [1, 0], [2, -1], [2, 0], [3, 0], [4, -1], [4, 0], [5, -1], [5, 0], [6, -1], [6, 0]],
    ];

    private function __construct(public int $letter, public int $alter) {}

    public static function of(int $letter, int $alter): self
    {
        if ($letter < 0 || $letter > 6 || $alter < -2 || $alter > 2) {
            throw new NoteNotPossible($letter, $alter);
        }

        return new self($letter, $alter);
    }

    /** Reads "E♭", "eb", "F#", "B𝄫". */
    public static function parse(string $typed): self
    {
        if (preg_match('/^\s*([A-Ga-g])(𝄫|𝄪|♭{1,2}|♯{1,2}|b{1,2}|#{1,2}|x)?\s*$/u', $typed, $found) !== 1) {
            throw new NoteNameNotReadable($typed);
        }
        $letter = (int) array_search(strtoupper($found[1]), self::LETTERS, true);

        return new self($letter, self::alterOf($found[2] ?? ''));
    }

    /** The note of that pitch class (0–11) with a given letter; respelled plainly where it would need three signs. */
    public static function withLetter(int $letter, int $pitchClass): self
    {
        $letter = (($letter % 7) + 7) % 7;
        $alter = (($pitchClass - self::NATURALS[$letter] + 6) % 12 + 12) % 12 - 6;

        return abs($alter) <= 2 ? new self($letter, $alter) : self::plain($pitchClass, $alter > 0);
    }

    /** The everyday name of a pitch class, with sharps or with flats. */
    public static function plain(int $pitchClass, bool $withSharps): self
    {
        $spellings = self::PLAIN_SPELLINGS[$withSharps ? 'sharp' : 'flat'];
        [$letter, $alter] = $spellings[(($pitchClass % 12) + 12) % 12];

        return new self($letter, $alter);
    }

    public function pitchClass(): int
    {
        return ($this->semitonesAboveC() % 12 + 12) % 12;
    }

    /** Not folded into the octave: C♭ is −1, B♯ is 12. */
    public function semitonesAboveC(): int
    {
        return self::NATURALS[$this->letter] + $this->alter;
    }

    public function text(): string
    {
        return self::LETTERS[$this->letter].self::SIGNS[$this->alter];
    }

    public function equals(self $other): bool
    {
        return $this->letter === $other->letter && $this->alter === $other->alter;
    }

    private static function alterOf(string $signs): int
    {
        return match ($signs) {
            '𝄫' => -2,
            '𝄪', 'x' => 2,
            default => mb_substr_count(strtr($signs, ['#' => '♯']), '♯') - mb_substr_count(strtr($signs, ['b' => '♭']), '♭'),
        };
    }
}
