<?php

declare(strict_types=1);

namespace Gravik\Neck\Finder\Internal;

use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Degree;
use Gravik\Neck\Company;

/**
 * What a chord asks of a grip in some company, as sets of pitch classes (bit n = pitch class n). The rules are those of
 * the bare search: who plays along decides whether the root may go and what may lie lowest.
 *
 * @internal built for GripSearch
 */
final readonly class Demand
{
    /** @param ?int $lowest the pitch class that must lie lowest, null for any */
    private function __construct(
        public int $allowed,
        public int $required,
        public int $oneOf,
        public ?int $lowest,
        public int $leastStrings,
    ) {}

    public static function of(ChordSymbol $chord, Company $company): self
    {
        $root = 1 << $chord->rootPitchClass();
        $bass = $chord->bass?->pitchClass();
        $slash = $bass === null ? 0 : 1 << $bass;
        $required = self::bits($chord, $chord->required);
        $optional = self::bits($chord, $chord->optional);
        $oneOf = self::bits($chord, $chord->oneOf);
        $least = $chord->power || $company === Company::Shell ? 2 : 3;

        if ($company === Company::Shell) {
            $shell = self::bits($chord, $chord->shell);
            $needsRoot = count($chord->shell) < 2;

            return new self($shell | $root, $shell | ($needsRoot ? $root : 0), 0, null, $least);
        }
        $allowed = $root | $required | $optional | $oneOf | $slash;
        if ($company === Company::Alone) {
            return new self($allowed, $root | $required | $slash, $oneOf, $bass ?? $chord->rootPitchClass(), $least);
        }

        return new self($allowed, $required | ($chord->power ? $root : 0), $oneOf, null, $least);
    }

    /**
     * These degrees, whatever lies lowest.
     *
     * @param list<Degree> $required
     * @param list<Degree> $oneOf    at least one of them where there are any
     */
    public static function exactly(ChordSymbol $chord, array $required, array $oneOf, int $leastStrings): self
    {
        $bits = self::bits($chord, $required);
        $more = self::bits($chord, $oneOf);

        return new self($bits | $more, $bits, $more, null, $leastStrings);
    }

    /** @param list<Degree> $degrees */
    private static function bits(ChordSymbol $chord, array $degrees): int
    {
        $bits = 0;
        foreach ($degrees as $degree) {
            $bits |= 1 << (($chord->rootPitchClass() + $degree->semitones()) % 12);
        }

        return $bits;
    }
}
