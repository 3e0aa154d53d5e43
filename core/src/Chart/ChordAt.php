<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Harmony\ChordSymbol;

/** A chord's place in its bar. No chord (N.C., or a symbol that could not be read) leaves the place silent. */
final readonly class ChordAt
{
    /**
     * @param int    $at    ticks from the bar line
     * @param int    $ticks how long it lasts within this bar
     * @param string $typed as it was typed; the symbol before it for a repeat
     */
    public function __construct(public int $at, public int $ticks, public ?ChordSymbol $chord, public string $typed) {}
}
