<?php

declare(strict_types=1);

namespace Gravik\Harmony\Internal;

/**
 * The readable chord symbol closest to an unreadable one: fewest characters to change, then the commoner chord.
 *
 * @internal asked by the readers for their messages
 */
final readonly class Nearest
{
    private const ROOTS = ['C', 'D', 'E', 'F', 'G', 'A', 'B'];

    /** Commonest first. */
    private const ENDINGS = [
        '', 'm', '7', 'm7', 'maj7', '6', 'm6', '9', 'm9', 'dim7', 'dim', 'aug', 'sus4', 'sus2', '7sus4', '13', '6/9', 'maj9',
        'm7b5', '7b9', '7#9', '7#11', '7b5', '7#5', '7alt', 'add9', 'madd9', 'm11', '11', 'mMaj7', '5', 'no3', '9sus4', '13sus4', '13b9', 'maj7#11',
    ];

    private const FARTHEST = 4;

    public function to(string $symbol): ?string
    {
        $plain = strtr($symbol, ['♭' => 'b', '♯' => '#', '−' => '-', '°' => 'dim', 'Δ' => 'maj7']);
        $root = preg_match('/^([A-Ga-g][b#]?)(.*)$/s', $plain, $found) === 1 ? ucfirst($found[1]) : null;
        $typed = $root === null ? substr($plain, 1) : $found[2];
        $best = null;
        $least = self::FARTHEST + 1;
        foreach (self::ENDINGS as $ending) {
            $distance = levenshtein(substr($typed, 0, 64), $ending);
            if ($distance < $least) {
                [$best, $least] = [$ending, $distance];
            }
        }
        if ($best === null) {
            return $root === null ? null : self::printed($root);
        }

        return self::printed(($root ?? $this->nearestRoot($plain)).$best);
    }

    /** Where the first letter is no note, the letter next to it in the alphabet that is one: H gives B, as many write it. */
    private function nearestRoot(string $symbol): string
    {
        $letter = strtoupper(substr($symbol, 0, 1));

        return match (true) {
            $letter === 'H' => 'B',
            in_array($letter, self::ROOTS, true) => $letter,
            default => 'C',
        };
    }

    private static function printed(string $symbol): string
    {
        return strtr($symbol, ['#' => '♯', 'b' => '♭']);
    }
}
