<?php

declare(strict_types=1);

namespace Gravik\Harmony;

use Gravik\Pitch\NoteName;

/**
 * A chord as a symbol names it: its root, its degrees sorted into required and optional, and a bass where one is asked for.
 * Every other degree is foreign.
 */
final readonly class ChordSymbol
{
    /**
     * @param string       $ending    what follows the root, in our one spelling: "", "m7", "7♭9"
     * @param list<Degree> $required  besides the root
     * @param list<Degree> $optional  besides the root
     * @param list<Degree> $oneOf     at least one of these must sound (altered chords); empty where nothing is asked
     * @param list<Degree> $shell     the third (or its stand-in) and the seventh or sixth
     * @param bool         $power     root and fifth whatever the company
     */
    public function __construct(
        public NoteName $root,
        public string $ending,
        public array $required,
        public array $optional,
        public array $oneOf,
        public array $shell,
        public bool $power,
        public ?NoteName $bass = null,
    ) {}

    /** @throws ChordNotUnderstood pointing at the character, with the nearest symbol that can be read */
    public static function parse(string $typed): self
    {
        return (new Internal\SymbolReader())->read($typed);
    }

    /** In one consistent spelling: "B♭maj7", "C7♭9", "D/F♯". */
    public function text(): string
    {
        return $this->root->text().$this->ending.($this->bass === null ? '' : '/'.$this->bass->text());
    }

    /** The same chord on another root (its bass moves along). */
    public function onRoot(NoteName $root, ?NoteName $bass): self
    {
        return new self($root, $this->ending, $this->required, $this->optional, $this->oneOf, $this->shell, $this->power, $bass);
    }

    public function rootPitchClass(): int
    {
        return $this->root->pitchClass();
    }

    /** @return list<Degree> the root first, then required, then optional degrees */
    public function degrees(): array
    {
        return [new Degree(1), ...$this->required, ...$this->oneOf, ...$this->optional];
    }

    /** The degree a pitch class has in this chord, or what it would be called as a stranger to it. */
    public function degreeOf(int $pitchClass): Degree
    {
        $semitones = ($pitchClass - $this->root->pitchClass() + 12) % 12;
        foreach ($this->degrees() as $degree) {
            if ($degree->semitones() === $semitones) {
                return $degree;
            }
        }
        $strangers = [[1, 0], [9, -1], [9, 0], [3, -1], [3, 0], [11, 0], [5, -1], [5, 0], [13, -1], [13, 0], [7, -1], [7, 0]];
        [$number, $alter] = $strangers[$semitones];

        return new Degree($number, $alter);
    }

    /** Whether a pitch (MIDI) is the root or a required, optional or altered degree of this chord. */
    public function has(int $midi): bool
    {
        $semitones = ($midi - $this->root->pitchClass() + 120) % 12;

        return array_filter($this->degrees(), static fn (Degree $degree): bool => $degree->semitones() === $semitones) !== [];
    }

    /** Whether a pitch (MIDI) that is not in the chord lies a half step above one of its tones, and so fights it when it is held. */
    public function isFoughtBy(int $midi): bool
    {
        return ! $this->has($midi) && $this->has($midi - 1);
    }

    /** How that pitch class is spelled in this chord: the ♭3 of A♭ is C♭. */
    public function spell(int $pitchClass): NoteName
    {
        if ($this->bass !== null && $this->bass->pitchClass() === $pitchClass) {
            return $this->bass;
        }

        return NoteName::withLetter($this->root->letter + $this->degreeOf($pitchClass)->number - 1, $pitchClass);
    }

    public function isMinor(): bool
    {
        foreach ($this->required as $degree) {
            if ($degree->number === 3) {
                return $degree->alter === -1;
            }
        }

        return false;
    }
}
