<?php

declare(strict_types=1);

namespace Gravik\Neck;

use Gravik\CoreException;
use Gravik\Quote;

final class NeckException extends \InvalidArgumentException implements CoreException
{
    public static function unknownTuning(string $typed, string $known): self
    {
        return new self(sprintf(
            '"%s" is no tuning we know. Use one of %s, or type the pitches from the lowest string up, such as D2,A2,D3,G3,B3,E4.',
            Quote::short($typed),
            $known,
        ));
    }

    public static function stringCount(int $count): self
    {
        return new self(sprintf('A tuning needs 4 to 8 strings; this one has %d.', $count));
    }

    public static function stringOutOfRange(string $pitch): self
    {
        return new self(sprintf('A string tuned to %s cannot be played on a guitar. Pitches from B0 to G5 will do.', $pitch));
    }

    public static function capo(int $capo): self
    {
        return new self(sprintf('A capo at fret %d is not possible. Choose 0 (none) to 12.', $capo));
    }

    public static function otherStrings(int $from, int $to): self
    {
        return new self(sprintf(
            'A guitar in a tuning of %d strings cannot be brought to one of %d. Choose two tunings with the same number of strings.',
            $from,
            $to,
        ));
    }

    public static function fingers(): self
    {
        return new self('Fingers are numbered 1 (first) to 4 (little); at least one of them has to stay in use.');
    }

    public static function riff(string $typed, int $strings, int $highest): self
    {
        return new self(sprintf(
            '"%s" is no figure. Write string and fret of each note, such as 6:3 5:2 5:5, strings 1 to %d, frets 0 to %d, at most 32 notes.',
            Quote::short($typed),
            $strings,
            $highest,
        ));
    }

    public static function melody(string $typed): self
    {
        return new self(sprintf(
            '"%s" is no melody. Write notes with their octave, or string and fret, bars between strokes, such as E4 G4 | A4 C5 or 1:0 1:3; at most 64 notes.',
            Quote::short($typed),
        ));
    }

    public static function melodyOffTheNeck(string $note): self
    {
        return new self(sprintf('%s with a note below it does not lie on this neck. Try the melody an octave lower or higher.', $note));
    }

    public static function fretRange(string $typed): self
    {
        return new self(sprintf(
            '"%s" is no range of frets. Write the lowest and the highest, such as 0-15, within 0 to 24.',
            Quote::short($typed),
        ));
    }

    public static function strings(string $typed, int $count): self
    {
        return new self(sprintf(
            '"%s" names no strings of this guitar. Write a range or a list of numbers from 1 (highest) to %d, such as 4-1 or 6,4,3.',
            Quote::short($typed),
            $count,
        ));
    }

    public static function grip(string $typed, int $count): self
    {
        return new self(sprintf(
            '"%s" is no grip. Write one fret for each of the %d strings from low to high, x for muted, such as x 3 2 0 1 0.',
            Quote::short($typed),
            $count,
        ));
    }

    public static function tooFewStrings(): self
    {
        return new self('One note has no chord name yet. Let at least two strings sound.');
    }

    public static function choice(string $what, string $typed, string $known): self
    {
        return new self(sprintf('"%s" is no %s. Choose one of %s.', Quote::short($typed), $what, $known));
    }

    public static function nothingFits(string $chord, string $why): self
    {
        return new self(sprintf('No grip for %s fits. %s', $chord, $why));
    }

    public static function weight(float $weight, float $heaviest): self
    {
        return new self(sprintf(
            'A weight of %s cannot be weighed. Choose 0 (does not count) to %d.',
            is_finite($weight) ? (string) round($weight, 2) : 'nothing',
            (int) $heaviest,
        ));
    }

    public static function noStepwiseBass(): self
    {
        return new self('The bass cannot go by steps through all of these chords. Let the bass go free, widen the frets, or let the grips leave out more.');
    }

    public static function noCommonTop(): self
    {
        return new self('No note can stay on top through all of these chords. Let go of the common top, or leave a chord out.');
    }
}
