<?php

declare(strict_types=1);

namespace Gravik\Listening\Internal;

use Gravik\Strokes\Counting;
use Gravik\Strokes\Pattern;

/**
 * Slots as they are counted aloud: "3", "2&", "bar 2, 4&".
 *
 * @internal
 */
final readonly class SlotNames
{
    /** @var list<string> one for each slot of a bar */
    private array $syllables;

    public function __construct(private Pattern $pattern)
    {
        $this->syllables = Counting::syllables($pattern->meter, $pattern->grid());
    }

    public function of(int $slot): string
    {
        $perBar = count($this->syllables);
        $inBar = $slot % $perBar;
        $grid = intdiv($perBar, $this->pattern->meter->beats());
        $beat = (string) (intdiv($inBar, $grid) + 1);
        $name = $inBar % $grid === 0 ? $beat : $beat.$this->syllables[$inBar];

        return $this->pattern->bars() === 1 ? $name : sprintf('bar %d, %s', intdiv($slot, $perBar) + 1, $name);
    }
}
