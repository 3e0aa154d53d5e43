<?php

declare(strict_types=1);

namespace Gravik\Harmony;

use Gravik\Harmony\Failure\KeyNotReadable;
use Gravik\Pitch\NoteName;
use Gravik\Pitch\Pitch;
use Gravik\Pitch\PitchException;

/** The key of a tune: its tonic and whether it is major or minor. */
final readonly class Key
{
    /** Place of C D E F G A B on the line of fifths, C = 0. */
    private const FIFTHS = [0, 2, 4, -1, 1, 3, 5];

    /** By semitones above the tonic: the step whose letter a note foreign to the key takes. */
    private const LETTERS_OF_STRANGERS = [
        'major' => [1 => 1, 3 => 2, 6 => 3, 8 => 5, 10 => 6],
        'minor' => [1 => 1, 4 => 2, 6 => 3, 9 => 5, 11 => 6],
    ];

    public function __construct(public NoteName $tonic, public Mode $mode)
    {
        if (abs($this->signature()) > 7) {
            throw new KeyNotReadable($tonic->text().' '.$mode->value);
        }
    }

    /** Reads "D minor", "Dm", "A♭ major", "Eb", "B flat". */
    public static function parse(string $typed): self
    {
        $typed = (string) preg_replace(['/^\s*([A-Ga-g])[\s-]*flat\b/i', '/^\s*([A-Ga-g])[\s-]*sharp\b/i'], ['$1♭', '$1♯'], $typed);
        if (preg_match('/^\s*([A-Ga-g](?:♭|♯|b|#)?)\s*(major|maj|minor|min|m)?\s*$/u', $typed, $found) !== 1) {
            throw new KeyNotReadable($typed);
        }
        $minor = in_array($found[2] ?? '', ['minor', 'min', 'm'], true);

        try {
            return new self(NoteName::parse($found[1]), $minor ? Mode::Minor : Mode::Major);
        } catch (PitchException) {
            throw new KeyNotReadable($typed);
        }
    }

    public function text(): string
    {
        return $this->tonic->text().' '.$this->mode->value;
    }

    public function tonicTriad(): ChordSymbol
    {
        return ChordSymbol::parse($this->tonic->text().($this->mode === Mode::Minor ? 'm' : ''));
    }

    /** Sharps in the signature; flats are negative: −7 to 7. */
    public function signature(): int
    {
        return self::FIFTHS[$this->tonic->letter] + 7 * $this->tonic->alter - ($this->mode === Mode::Minor ? 3 : 0);
    }

    /**
     * A note of this key as it is called in another: B♭ in D minor is C in E minor. Where the strict spelling would
     * need a double sign, the plain one with the new key's kind of signs is given.
     */
    public function carry(NoteName $note, self $to): NoteName
    {
        $letters = $to->tonic->letter - $this->tonic->letter;
        $semitones = $this->semitonesTo($to);
        $carried = NoteName::withLetter($note->letter + $letters, ($note->pitchClass() + $semitones) % 12);

        return abs($carried->alter) > 1 ? NoteName::plain($carried->pitchClass(), $to->signature() > 0) : $carried;
    }

    /** A key that stands beside this one, beside another: the relative minor stays the relative minor. */
    public function carryKey(self $beside, self $to): self
    {
        $tonic = $this->carry($beside->tonic, $to);

        try {
            return new self($tonic, $beside->mode);
        } catch (ChordNotUnderstood) {
            return new self(NoteName::plain($tonic->pitchClass(), $tonic->alter < 0), $beside->mode);
        }
    }

    /** Upwards to the other tonic: 0–11. */
    public function semitonesTo(self $other): int
    {
        return ($other->tonic->pitchClass() - $this->tonic->pitchClass() + 12) % 12;
    }

    /**
     * A note as the key spells it: A♭2.
     *
     * @param int $midi 0 to 127; what lies beyond is told as the lowest or highest
     */
    public function noteWords(int $midi): string
    {
        $midi = max(0, min(127, $midi));

        return Pitch::ofMidi($midi, $this->spell($midi % 12))->text();
    }

    /**
     * How a pitch class is called in this key: its own notes by their letters, the rest by what they do there (♭II, ♯IV, the raised
     * leading note). Where that would need a double sign, the everyday name with the signature's kind of sign.
     */
    public function spell(int $pitchClass): NoteName
    {
        $semitones = ($pitchClass - $this->tonic->pitchClass() + 12) % 12;
        $own = array_search($semitones, $this->mode->steps(), true);
        $named = NoteName::withLetter(
            $this->tonic->letter + ($own === false ? self::LETTERS_OF_STRANGERS[$this->mode->value][$semitones] : $own),
            $pitchClass,
        );

        return abs($named->alter) > 1 ? NoteName::plain($pitchClass, $this->signature() > 0) : $named;
    }

    /** How the root of a diminished chord is called: where it leads up to a note of the key, by the letter below that note. */
    public function spellLeading(int $pitchClass): NoteName
    {
        $semitones = ($pitchClass - $this->tonic->pitchClass() + 12) % 12;
        $goal = array_search(($semitones + 1) % 12, $this->mode->steps(), true);
        if ($goal === false || in_array($semitones, $this->mode->steps(), true)) {
            return $this->spell($pitchClass);
        }

        return NoteName::withLetter($this->tonic->letter + $goal - 1, $pitchClass);
    }

    public function carryChord(ChordSymbol $chord, self $to): ChordSymbol
    {
        return $chord->onRoot($this->carry($chord->root, $to), $chord->bass === null ? null : $this->carry($chord->bass, $to));
    }
}
