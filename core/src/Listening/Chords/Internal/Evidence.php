<?php

declare(strict_types=1);

namespace Gravik\Listening\Chords\Internal;

/**
 * How well what sounded for a while goes with each chord. Every pitch class says, by its level, how much likelier it is a tone
 * of the chord than a stranger; the lowest note says whose root it is. Figures set on takes made for it, see docs/decisions.
 *
 * @internal used by ChordReader
 */
final readonly class Evidence
{
    /** At this level of the loudest a pitch class says nothing; so many nepers a level around it, within limits. */
    private const SAYS_NOTHING = 0.25;

    private const SLOPE = 6.0;

    private const LEAST = -2.5;

    private const MOST = 2.0;

    /** Above, harmonics outnumber notes. */
    private const HIGHEST = 79;

    /** A fifth or another tone that may be left out costs no more than this where it is. */
    private const MAY_LACK = -0.3;

    /** What it says, nepers: the root in the bass, and a stranger there. */
    private const ROOT_IN_BASS = 2.0;

    private const STRANGER_IN_BASS = -1.5;

    /** A chord whose root nobody plays; where a bass player has it, one whose root the guitar plays all the same. */
    private const LACKS_ROOT = -3.5;

    private const DOUBLES_ROOT = -1.5;

    /** The lowest note has at least this level, and none louder beside it. */
    private const BASS_LEVEL = 0.4;

    /**
     * @param array<int, float> $notes MIDI number => level, 1 for the loudest
     * @param list<Candidate>   $candidates
     * @param bool              $bassPlays whether somebody else has the root
     *
     * @return list<float> nepers, one for each candidate; all 0 where nothing sounded
     */
    public static function of(array $notes, array $candidates, bool $bassPlays): array
    {
        if (max([0.0, ...$notes]) <= 0) {
            return array_fill(0, count($candidates), 0.0);
        }
        $says = array_map(
            static fn (float $level): float => max(self::LEAST, min(self::MOST, self::SLOPE * ($level - self::SAYS_NOTHING))) / 2,
            self::classLevels($notes),
        );
        $bass = self::bass($notes);
        $whole = array_sum($says);

        return array_map(static function (Candidate $chord) use ($says, $bass, $whole, $bassPlays): float {
            $tones = 0.0;
            foreach ($chord->required as $class) {
                $tones += 2 * $says[$class];
            }
            foreach ($chord->optional as $class) {
                $tones += $says[$class] + max($says[$class], self::MAY_LACK);
            }
            $root = $says[$chord->root];

            return $tones - $whole - $chord->unusual + match (true) {
                // What is not there counts neither for the chord nor against it.
                $root < 0 => $root + ($bassPlays && $chord->mayLackRoot ? 0.0 : self::LACKS_ROOT),
                $bassPlays => 2 * $root + self::DOUBLES_ROOT,
                $bass === $chord->root => 2 * $root + self::ROOT_IN_BASS,
                $bass !== null && ! in_array($bass, $chord->classes(), true) => 2 * $root + self::STRANGER_IN_BASS + $says[$bass],
                default => 2 * $root,
            };
        }, $candidates);
    }

    /**
     * The lowest note that sounds.
     *
     * @param array<int, float> $notes
     *
     * @return ?int pitch class
     */
    public static function bass(array $notes): ?int
    {
        foreach ($notes as $midi => $level) {
            if ($level > self::BASS_LEVEL && $level >= ($notes[$midi + 1] ?? 0.0) && $level >= ($notes[$midi - 1] ?? 0.0)) {
                return $midi % 12;
            }
        }

        return null;
    }

    /**
     * @param array<int, float> $notes
     *
     * @return list<float> level of each pitch class from C on: that of its loudest note
     */
    private static function classLevels(array $notes): array
    {
        $levels = array_fill(0, 12, 0.0);
        $loudest = 1e-9;
        foreach ($notes as $midi => $level) {
            if ($midi <= self::HIGHEST) {
                $loudest = max($loudest, $level);
                $levels[$midi % 12] = max($levels[$midi % 12], $level);
            }
        }

        return array_values(array_map(static fn (float $level): float => $level / $loudest, $levels));
    }
}
