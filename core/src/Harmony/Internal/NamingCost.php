<?php

declare(strict_types=1);

namespace Gravik\Harmony\Internal;

use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Degree;
use Gravik\Harmony\Key;
use Gravik\Harmony\Mode;

/**
 * How far a name lies from the one a teacher would say: a sum of rules of thumb.
 *
 * @internal used by ChordNamer
 */
final readonly class NamingCost
{
    private const NOT_ASKED_FOR = 3.0;

    private const ROOTLESS = 1.5;

    /** Only a dominant ninth or thirteenth is readily heard without its root. */
    private const ROOTLESS_AND_NO_DOMINANT = 0.7;

    private const INVERSION = 1.7;

    /** The fifth below a power chord is how it is played. */
    private const POWER_INVERSION = 0.5;

    private const SIXTH_IN_THE_BASS = 0.3;

    /** Two notes are a power chord or guide tones before they are anything else. */
    private const TWO_NOTES = 0.6;

    private const FOREIGN_BASS = 2.4;

    private const OMITTED_FIFTH = 0.15;

    private const ALTERATION = 0.2;

    /** "alt" says less than the name that spells the alteration out. */
    private const ALT = 0.6;

    /** A tone that the name promises and nobody plays. */
    private const PROMISED = 0.3;

    private const SUSPENDED_OR_ADDED = 0.15;

    private const OUTSIDE_THE_KEY = 0.35;

    /** The ♭7 of a I7 or IV7 lies outside a major key and is at home in it all the same. */
    private const OUTSIDE_BY_CUSTOM = 0.1;

    /** The key decides among names that are as whole, and between two inversions, not against the root in the bass. */
    private const KEY_WEIGHS = 0.5;

    /** By semitones above the tonic: how readily a chord stands on that step. */
    private const STEPS = [
        'major' => [0.0, 1.2, 0.3, 0.9, 0.6, 0.0, 1.2, 0.0, 0.9, 0.3, 0.7, 0.8],
        'minor' => [0.0, 1.2, 0.6, 0.3, 1.2, 0.0, 1.2, 0.0, 0.3, 1.2, 0.3, 0.8],
    ];

    /** The raised seventh is at home in a minor key beside its own. */
    private const LEADING_NOTE = 11;

    public function __construct(private ?Key $key, private ?ChordSymbol $asked) {}

    /**
     * @param list<Degree> $omitted
     * @param list<int>    $sounding pitch classes, each once
     */
    public function of(ChordSymbol $chord, bool $rootless, array $omitted, bool $foreignBass, array $sounding): float
    {
        $cost = $this->asked === null || $this->isAsked($chord) ? 0.0 : self::NOT_ASKED_FOR;
        $cost += $rootless ? self::ROOTLESS + ($this->isDominant($chord) ? 0.0 : self::ROOTLESS_AND_NO_DOMINANT) : 0.0;
        $cost += count($sounding) < 3 && ! $chord->power && ! $rootless ? self::TWO_NOTES : 0.0;
        $cost += match (true) {
            $foreignBass => self::FOREIGN_BASS,
            $chord->bass !== null && $chord->power => self::POWER_INVERSION,
            $chord->bass !== null => self::INVERSION
                + ($chord->degreeOf($chord->bass->pitchClass())->number === 6 ? self::SIXTH_IN_THE_BASS : 0.0),
            default => 0.0,
        };
        foreach ($omitted as $degree) {
            $cost += $degree->number === 5 ? self::OMITTED_FIFTH : 0.0;
        }
        $cost += $chord->oneOf === [] ? 0.0 : self::ALT;
        foreach ($chord->optional as $degree) {
            $silent = ! in_array(($chord->rootPitchClass() + $degree->semitones()) % 12, $sounding, true);
            $cost += $silent && $degree->number !== 5 ? self::PROMISED : 0.0;
        }
        foreach ([...$chord->required, ...array_slice($chord->oneOf, 0, 1)] as $degree) {
            $altered = $degree->alter !== 0 && ! in_array([$degree->number, $degree->alter], [[3, -1], [7, -1]], true);
            $cost += ($altered ? self::ALTERATION : 0.0) + (in_array($degree->number, [2, 4], true) ? self::SUSPENDED_OR_ADDED : 0.0);
        }
        $cost += str_contains($chord->ending, 'add') || str_contains($chord->ending, 'no') ? self::SUSPENDED_OR_ADDED : 0.0;

        return $cost + self::KEY_WEIGHS * $this->awayFromKey($chord);
    }

    /** Whether a tone of the chord lies outside the key; the ♭7 of a I7 or IV7, and of a V7 in minor its third, are at home.
     *  Of what "alt" alters some is always outside. */
    public function isForeign(ChordSymbol $chord): bool
    {
        return $this->key !== null && ($chord->oneOf !== [] || $this->foreignTones($chord) > 0);
    }

    private function isDominant(ChordSymbol $chord): bool
    {
        $shell = array_map(static fn (Degree $degree): string => $degree->text(), $chord->shell);

        return $shell === ['3', '♭7'];
    }

    private function isAsked(ChordSymbol $chord): bool
    {
        return $this->asked?->rootPitchClass() === $chord->rootPitchClass() && $this->asked->ending === $chord->ending;
    }

    private function awayFromKey(ChordSymbol $chord): float
    {
        if ($this->key === null) {
            return 0.0;
        }

        return self::STEPS[$this->key->mode->value][$this->step($chord)]
            + self::OUTSIDE_THE_KEY * $this->foreignTones($chord)
            + self::OUTSIDE_BY_CUSTOM * $this->tonesByCustom($chord);
    }

    private function step(ChordSymbol $chord): int
    {
        return $this->key === null ? 0 : ($chord->rootPitchClass() - $this->key->tonic->pitchClass() + 12) % 12;
    }

    private function foreignTones(ChordSymbol $chord): int
    {
        return count(array_filter(
            [new Degree(1), ...$chord->required],
            fn (Degree $degree): bool => ! $this->isOwn($chord, $degree) && ! $this->isByCustom($chord, $degree),
        ));
    }

    private function tonesByCustom(ChordSymbol $chord): int
    {
        return count(array_filter(
            $chord->required,
            fn (Degree $degree): bool => ! $this->isOwn($chord, $degree) && $this->isByCustom($chord, $degree),
        ));
    }

    private function isOwn(ChordSymbol $chord, Degree $degree): bool
    {
        $place = ($this->step($chord) + $degree->semitones()) % 12;

        return in_array($place, $this->key?->mode->steps() ?? [], true)
            || ($place === self::LEADING_NOTE && $this->key?->mode === Mode::Minor);
    }

    private function isByCustom(ChordSymbol $chord, Degree $degree): bool
    {
        return $this->key?->mode === Mode::Major
            && $degree->number === 7
            && $degree->alter === -1
            && in_array($this->step($chord), [0, 5], true);
    }
}
