<?php

declare(strict_types=1);

namespace Gravik\Performance;

/** Where in a figure a stroke lies. */
final readonly class FigureTick
{
    /**
     * @param string $figure id
     * @param int    $at     ticks from the figure's start
     * @param int    $bar    of the song that it begins in, from 0
     */
    public function __construct(public string $figure, public int $at, public int $bar) {}
}
