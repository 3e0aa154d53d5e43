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
        /** @var list<string> $endings */
        $endings = require __DIR__.'/../Data/endings.php';
        foreach ($endings as $ending) {
            $distance = levenshtein(substr($found[2], 0, 64), $ending);
            if ($distance < $least) {
                [$best, $least] = [$ending, $distance];
            }
        }

        return strtr($root.$best, ['#' => '♯', 'b' => '♭']);
    }
}
