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
    /** Commonest first. */
    private const ENDINGS = [
        '', 'm', '7', 'm7', 'maj7', '6', 'm6', '9', 'm9', 'dim7', 'dim', 'aug', 'sus4', 'sus2', '7sus4', '13', '6/9', 'maj9',
        'm7b5', '7b9', '7#9', '7#11', '7b5', '7#5', '7alt', 'add9', 'madd9', 'm11', '11', 'mMaj7', '5', 'no3', '9sus4', '13sus4', '13b9', 'maj7#11',
    ];

    private const FARTHEST = 4;

    public function to(string $symbol): ?string
    {
        $plain = strtr($symbol, ['♭' => 'b', '♯' => '#', '−' => '-', '°' => 'dim', 'Δ' => 'maj7']);
        if (preg_match('/^([A-Ha-h][b#]?)(.*)$/s', $plain, $found) !== 1) {
            return null;
        }
        // Many write H for the note this product calls B.
        $root = strtr(ucfirst($found[1]), ['H' => 'B']);
        $best = '';
        $least = self::FARTHEST + 1;
        foreach (self::ENDINGS as $ending) {
            $distance = levenshtein(substr($found[2], 0, 64), $ending);
            if ($distance < $least) {
                [$best, $least] = [$ending, $distance];
            }
        }

        return strtr($root.$best, ['#' => '♯', 'b' => '♭']);
    }
}
