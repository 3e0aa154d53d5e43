<?php

declare(strict_types=1);

namespace Gravik\Listening\Chords\Internal;

use Gravik\Harmony\Key;
use Gravik\Harmony\Mode;

/**
 * How well a chord lies in a key, nepers.
 *
 * @internal used by ChordReader
 */
final readonly class KeyFit
{
    /** All its tones in the key; each one that is not. */
    private const AT_HOME = 0.4;

    private const STRANGER = -0.3;

    /** The chord of the tonic; those a fifth above and below. */
    private const TONIC = 0.6;

    private const NEIGHBOUR = 0.3;

    /** A dominant leads to what lies a fifth below it: that of the tonic, and those of the key's other chords. */
    private const DOMINANT = 0.48;

    private const LEADS_IN = 0.2;

    /** Semitones above the tonic from which dominants lead to chords of the key. */
    private const LEAD_FROM = [0, 2, 4, 5, 9, 11];

    public static function of(Candidate $chord, Key $key): float
    {
        $tonic = $key->tonic->pitchClass();
        $isMinor = $key->mode === Mode::Minor;
        // The raised leading note belongs to a minor key as well.
        $scale = $isMinor ? [...$key->mode->steps(), 11] : $key->mode->steps();
        $strangers = count(array_filter(
            [$chord->root, ...$chord->required],
            static fn (int $class): bool => ! in_array(($class - $tonic + 12) % 12, $scale, true),
        ));
        $fit = $strangers === 0 ? self::AT_HOME : self::STRANGER * $strangers;
        $step = ($chord->root - $tonic + 12) % 12;
        if ($chord->isDominant) {
            $fit = max($fit, match (true) {
                $step === 7 => self::DOMINANT,
                in_array($step, self::LEAD_FROM, true) => self::LEADS_IN,
                default => $fit,
            });
        }

        return $fit + match (true) {
            $step === 0 && $chord->isMinor === $isMinor => self::TONIC,
            $step === 5 || $step === 7 => self::NEIGHBOUR,
            default => 0.0,
        };
    }
}
