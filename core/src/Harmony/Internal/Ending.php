<?php

declare(strict_types=1);

namespace Gravik\Harmony\Internal;

use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Degree;
use Gravik\Pitch\NoteName;

/**
 * What a chord ending has said so far, and from it the required and optional degrees and the one spelling.
 *
 * @internal filled by EndingReader
 */
final class Ending
{
    private string $third = 'major';

    private int $fifth = 0;

    private ?int $suspension = null;

    /** 0 none, 6 sixth, else the top of the stack: 7, 9, 11 or 13. */
    private int $top = 0;

    private bool $majorSeventh = false;

    private bool $majorSaid = false;

    private bool $sixNine = false;

    private bool $power = false;

    private bool $diminishedSeventh = false;

    private bool $altered = false;

    private bool $noThird = false;

    private bool $noFifth = false;

    /** @var list<Degree> */
    private array $added = [];

    /** @var list<Degree> */
    private array $alterations = [];

    public function quality(string $quality): void
    {
        if (in_array($quality, ['minor', 'diminished', 'diminished7', 'half-diminished'], true)) {
            $this->third = 'minor';
        }
        if (in_array($quality, ['diminished', 'diminished7', 'half-diminished'], true)) {
            $this->fifth = -1;
        }
        match ($quality) {
            'major' => $this->majorSaid = true,
            'major7' => $this->majorSeventh(7),
            'augmented' => $this->augment(),
            'diminished7' => $this->diminishedSeventh = true,
            'half-diminished' => $this->top = 7,
            default => null,
        };
    }

    public function majorSeventh(int $top): void
    {
        $this->majorSeventh = true;
        $this->top = $top;
    }

    public function number(string $number): void
    {
        if ($number === '5') {
            $this->power = true;
        } elseif ($number === '6' || $number === '6/9') {
            $this->top = 6;
            $this->sixNine = $number === '6/9';
        } else {
            $this->top = (int) $number;
            $this->majorSeventh = $this->majorSeventh || $this->majorSaid;
        }
    }

    public function suspend(int $degree): void
    {
        $this->suspension = $degree;
    }

    public function add(Degree $degree): void
    {
        $this->added[] = $degree;
    }

    public function alter(): void
    {
        $this->altered = true;
        $this->top = 7;
    }

    public function leaveOut(int $degree): void
    {
        $degree === 3 ? $this->noThird = true : $this->noFifth = true;
    }

    public function alteration(Degree $degree): void
    {
        $said = $degree->number === 5 && $degree->alter === $this->fifth;
        foreach ($this->alterations as $alteration) {
            $said = $said || $alteration->text() === $degree->text();
        }
        if (! $said) {
            $this->alterations[] = $degree;
        }
    }

    /** Why this cannot be a chord, or null. */
    public function contradiction(): ?string
    {
        return match (true) {
            $this->power
                && ($this->third === 'minor' || $this->top > 0 || $this->suspension !== null || $this->alterations !== [] || $this->fifth !== 0)
                => 'a power chord has a root and a fifth and nothing else',
            $this->suspension !== null && $this->third === 'minor' => 'a suspended chord has no third, so it cannot be minor too',
            $this->suspension !== null && $this->noThird => 'a suspended chord has no third to leave out',
            $this->hasAdded(9) && $this->top >= 7 => 'add9 means "no seventh"; write 9 instead',
            $this->altered && ($this->alterations !== [] || $this->fifth !== 0) => '"alt" already stands for every altered degree',
            $this->altered && ($this->sixNine || $this->majorSeventh || $this->third === 'minor' || $this->suspension !== null)
                => '"alt" is a dominant seventh with altered fifth and ninth',
            $this->sixNine && $this->top !== 6 => 'a six-nine chord has no seventh',
            $this->diminishedSeventh && $this->top > 0 => 'a diminished seventh is its own seventh, so no other goes with it',
            $this->diminishedSeventh && $this->fifth !== -1 => 'a diminished chord has a diminished fifth, so it cannot be augmented too',
            default => null,
        };
    }

    public function on(NoteName $root, ?NoteName $bass): ChordSymbol
    {
        $required = $this->required();
        $shell = $this->power
            ? [new Degree(5)]
            : array_values(array_filter([$this->noThird ? null : $this->thirdDegree(), $this->seventh()]));

        return new ChordSymbol($root, $this->text(), $required, $this->optional($required), $this->oneOf(), $shell, $this->power, $bass);
    }

    /** @return list<Degree> */
    private function required(): array
    {
        if ($this->power) {
            return [new Degree(5)];
        }
        $required = [];
        if ($this->noThird) {
            $required[] = new Degree(5);
        } elseif ($this->top !== 11 || $this->third === 'minor' || $this->suspension !== null) {
            $required[] = $this->thirdDegree();
        }
        if ($this->fifth !== 0) {
            $required[] = new Degree(5, $this->fifth);
        }
        $seventh = $this->seventh();
        if ($seventh !== null) {
            $required[] = $seventh;
        }
        if ($this->sixNine || $this->top === 9 && ! $this->isAltered(9)) {
            $required[] = new Degree(9);
        } elseif ($this->top === 11 && ! $this->isAltered(11)) {
            $required[] = new Degree(11);
        } elseif ($this->top === 13 && ! $this->isAltered(13)) {
            $required[] = new Degree(13);
        }

        return self::distinct([...$required, ...$this->added, ...$this->alterations]);
    }

    /**
     * @param list<Degree> $required
     *
     * @return list<Degree>
     */
    private function optional(array $required): array
    {
        $optional = [];
        if (! $this->power && $this->fifth === 0 && ! $this->isAltered(5) && ! $this->altered && ! $this->noFifth && ! $this->noThird) {
            $optional[] = new Degree(5);
        }
        if ($this->top === 11 && ! $this->noThird) {
            $optional[] = $this->thirdDegree();
        }
        if (in_array($this->top, [11, 13], true) && ! $this->isAltered(9)) {
            $optional[] = new Degree(9);
        }
        if ($this->top === 13 && $this->third === 'minor' && ! $this->isAltered(11)) {
            $optional[] = new Degree(11);
        }
        $taken = array_map(static fn (Degree $degree): int => $degree->semitones(), $required);

        return array_values(array_filter($optional, static fn (Degree $degree): bool => ! in_array($degree->semitones(), $taken, true)));
    }

    /** @return list<Degree> */
    private function oneOf(): array
    {
        return $this->altered ? [new Degree(9, -1), new Degree(9, 1), new Degree(5, -1), new Degree(5, 1)] : [];
    }

    private function thirdDegree(): Degree
    {
        return match (true) {
            $this->suspension !== null => new Degree($this->suspension),
            $this->third === 'minor' => new Degree(3, -1),
            default => new Degree(3),
        };
    }

    private function seventh(): ?Degree
    {
        return match (true) {
            $this->diminishedSeventh, $this->top === 6 => new Degree(6),
            $this->top >= 7 => new Degree(7, $this->majorSeventh ? 0 : -1),
            default => null,
        };
    }

    private function text(): string
    {
        if ($this->power) {
            return '5';
        }
        $halfDiminished = $this->third === 'minor' && $this->fifth === -1 && $this->top >= 7;
        $stem = match (true) {
            $this->diminishedSeventh => 'dim7',
            $halfDiminished => 'm',
            $this->third === 'minor' && $this->fifth === -1 => 'dim',
            $this->third === 'minor' => 'm',
            $this->fifth === 1 && $this->top === 0 => 'aug',
            default => '',
        };
        $stem .= match (true) {
            $this->altered => '7alt',
            $this->sixNine => '6/9',
            $this->top === 0 => '',
            $this->majorSeventh => ($this->third === 'minor' ? 'Maj' : 'maj').$this->top,
            default => (string) $this->top,
        };
        $stem .= $this->suspension === null ? '' : 'sus'.$this->suspension;
        $signs = array_map(static fn (Degree $degree): string => $degree->text(), $this->alterations);
        if ($halfDiminished) {
            array_unshift($signs, '♭5');
        } elseif ($this->fifth === 1 && $stem !== 'aug') {
            array_unshift($signs, '♯5');
        }
        $bare = count($signs) === 1 && preg_match('/\d$/', $stem) === 1;
        $tail = $signs === [] ? '' : ($bare ? $signs[0] : '('.implode(',', $signs).')');
        $added = implode('', array_map(static fn (Degree $degree): string => 'add'.$degree->text(), $this->added));

        return $stem.$tail.$added.($this->noThird ? 'no3' : '').($this->noFifth ? 'no5' : '');
    }

    /** A ♯5 that was written out before is the same thing said twice. */
    private function augment(): void
    {
        $this->fifth = 1;
        $this->alterations = array_values(array_filter(
            $this->alterations,
            static fn (Degree $degree): bool => $degree->number !== 5 || $degree->alter !== 1,
        ));
    }

    private function isAltered(int $number): bool
    {
        foreach ($this->alterations as $degree) {
            if ($degree->number === $number) {
                return true;
            }
        }

        return false;
    }

    private function hasAdded(int $number): bool
    {
        foreach ($this->added as $degree) {
            if ($degree->number === $number && $degree->alter === 0) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param list<Degree> $degrees
     *
     * @return list<Degree>
     */
    private static function distinct(array $degrees): array
    {
        $distinct = [];
        foreach ($degrees as $degree) {
            $distinct[$degree->text()] ??= $degree;
        }

        usort($distinct, static fn (Degree $a, Degree $b): int => [$a->number, $a->alter] <=> [$b->number, $b->alter]);

        return $distinct;
    }
}
