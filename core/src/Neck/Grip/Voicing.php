<?php

declare(strict_types=1);

namespace Gravik\Neck\Grip;

use Gravik\Harmony\ChordSymbol;
use Gravik\Neck\HandProfile;
use Gravik\Neck\Neck;
use Gravik\Neck\ShapeFamily;
use Gravik\Pitch\Pitch;

/**
 * A grip that sounds a chord, with its fingering. Lists have one entry a string from low to high, null where muted.
 * Frets count from the capo.
 */
final readonly class Voicing
{
    /** What grips are sorted by: the hand's difficulty and what else speaks against the grip. */
    public float $rank;

    /**
     * @param list<int|null>        $frets
     * @param list<int|null>        $fingers  0 open, 1 to 4, HandProfile::THUMB; null where muted
     * @param list<Barre>           $barres
     * @param array<string, float>  $difficulty    its named parts, see Difficulty
     * @param array<string, float>  $unsuitability its named parts, see Unsuitability
     * @param list<int|null>        $midi
     */
    public function __construct(
        public ChordSymbol $chord,
        public array $frets,
        public array $fingers,
        public array $barres,
        public array $midi,
        public float $spanMm,
        public int $position,
        public array $difficulty,
        public array $unsuitability,
    ) {
        $this->rank = array_sum($difficulty) + array_sum($unsuitability);
    }

    /** Which open grip this one comes from; null on tunings whose strings do not lie like the standard ones. */
    public function familyOn(Neck $neck): ?ShapeFamily
    {
        return $neck->tuning->keepsStandardIntervals()
            ? ShapeFamily::of($this->frets, $neck->openMidi(), $this->chord->rootPitchClass())
            : null;
    }

    public function difficultySum(): float
    {
        return array_sum($this->difficulty);
    }

    /** @return list<string|null> R, ♭3, 9 … */
    public function degrees(): array
    {
        return array_map(fn (?int $midi): ?string => $midi === null ? null : $this->chord->degreeOf($midi % 12)->label(), $this->midi);
    }

    /** @return list<string|null> E♭3 … */
    public function notes(): array
    {
        return array_map(fn (?int $midi): ?string => $midi === null ? null : $this->noteName($midi), $this->midi);
    }

    public function topNote(): string
    {
        return $this->noteName($this->topMidi());
    }

    /** The degree in the bass where it isn't the root. */
    public function slash(): ?string
    {
        $lowest = min(self::sounding($this->midi));
        $degree = $this->chord->degreeOf($lowest % 12)->label();

        return $degree === 'R' ? null : $degree;
    }

    public function bassMidi(): int
    {
        return min(self::sounding($this->midi));
    }

    /** What stays the same when the grip is moved along the neck: "x 0 -1 0 0 x"; open strings keep it from moving. */
    public function shape(): string
    {
        $lowest = null;
        foreach ($this->frets as $fret) {
            $lowest = $fret !== null && $fret > 0 && ($lowest === null || $fret < $lowest) ? $fret : $lowest;
        }

        return implode(' ', array_map(static fn (?int $fret): string => match (true) {
            $fret === null => 'x',
            $fret === 0 => 'open',
            default => (string) ($fret - (int) $lowest),
        }, $this->frets));
    }

    public function topMidi(): int
    {
        return max(self::sounding($this->midi));
    }

    /** "x 3 2 0 1 0" */
    public function text(): string
    {
        return Frets::text($this->frets);
    }

    private function noteName(int $midi): string
    {
        return Pitch::ofMidi(max(0, min(127, $midi)), $this->chord->spell($midi % 12))->text();
    }

    /**
     * @param list<int|null> $midi
     *
     * @return non-empty-list<int>
     */
    private static function sounding(array $midi): array
    {
        $sounding = array_values(array_filter($midi, static fn (?int $note): bool => $note !== null));

        return $sounding === [] ? throw new \LogicException('A voicing sounds at least two strings.') : $sounding;
    }
}
