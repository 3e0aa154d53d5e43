<?php

declare(strict_types=1);

namespace Gravik\Listening\Chords\Internal;

use Gravik\Harmony\HarmonyException;
use Gravik\Harmony\Key;
use Gravik\Harmony\Mode;
use Gravik\Pitch\NoteName;

/**
 * Tells the key of some chords: the one in which they lie best, that begins and ends with its tonic, and whose dominant goes to
 * it.
 *
 * @internal used by ChordReader
 */
final readonly class KeyReader
{
    /** The tonic first, and last; each dominant that goes to it, nepers (h). */
    private const BEGINS = 1.5;

    private const ENDS = 0.7;

    private const ARRIVES = 1.0;

    /**
     * @param list<int>       $way        of candidates
     * @param list<Candidate> $candidates
     *
     * @return Key C major where there is no chord
     */
    public static function read(array $way, array $candidates): Key
    {
        $chords = array_map(static fn (int $chord): Candidate => $candidates[$chord], $way);
        $best = null;
        $most = -INF;
        foreach (self::keys() as $key) {
            $sum = self::fit($chords, $key);
            if ($sum > $most) {
                [$best, $most] = [$key, $sum];
            }
        }

        return $best ?? Key::parse('C major');
    }

    /** @param list<Candidate> $chords */
    private static function fit(array $chords, Key $key): float
    {
        $isTonic = static fn (Candidate $chord): bool => $chord->root === $key->tonic->pitchClass()
            && $chord->isMinor === ($key->mode === Mode::Minor);
        $sum = 0.0;
        foreach ($chords as $place => $chord) {
            $sum += KeyFit::of($chord, $key);
            $before = $chords[$place - 1] ?? null;
            if ($before !== null && $before->isDominant && $isTonic($chord) && ($before->root - $chord->root + 12) % 12 === 7) {
                $sum += self::ARRIVES;
            }
        }

        return $chords === []
            ? 0.0
            : $sum + ($isTonic($chords[0]) ? self::BEGINS : 0.0) + ($isTonic($chords[count($chords) - 1]) ? self::ENDS : 0.0);
    }

    /** @return iterable<Key> every key, in its plainer spelling */
    private static function keys(): iterable
    {
        foreach (Mode::cases() as $mode) {
            foreach (range(0, 11) as $tonic) {
                foreach ([false, true] as $withSharps) {
                    try {
                        $key = new Key(NoteName::plain($tonic, $withSharps), $mode);
                    } catch (HarmonyException) {
                        continue;
                    }
                    if (abs($key->signature()) <= 6) {
                        yield $key;
                        break;
                    }
                }
            }
        }
    }
}
