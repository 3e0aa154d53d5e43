<?php

declare(strict_types=1);

namespace Gravik\Harmony\Internal;

use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Failure\ChordEndingUnknown;
use Gravik\Harmony\Failure\ChordWithoutRoot;
use Gravik\Pitch\NoteName;

/**
 * Reads a chord symbol from left to right: root, ending, slash bass.
 *
 * @internal ChordSymbol::parse is the door
 */
final readonly class SymbolReader
{
    private const LONGEST = 24;

    private const ROOT = '/^([A-G](?:♭|♯|𝄫|𝄪|b|#)?)/u';

    private const BASS = '/\/\s*([A-G](?:♭|♯|𝄫|𝄪|b|#)?)$/u';

    public function read(string $typed): ChordSymbol
    {
        $symbol = trim($typed);
        if (mb_strlen($symbol) > self::LONGEST) {
            throw new ChordEndingUnknown($symbol, self::LONGEST, null);
        }
        if (preg_match(self::ROOT, $symbol, $found) !== 1) {
            throw new ChordWithoutRoot($symbol, (new Nearest())->to($symbol));
        }
        $root = NoteName::parse($found[1]);
        $rest = substr($symbol, strlen($found[1]));
        $bass = null;
        if (preg_match(self::BASS, $rest, $slash) === 1) {
            $bass = NoteName::parse($slash[1]);
            $rest = substr($rest, 0, -strlen($slash[0]));
        }

        $ending = (new EndingReader($symbol, mb_strlen($found[1])))->read($rest);

        return $ending->on($root, $bass === null || $bass->equals($root) ? null : $bass);
    }
}
