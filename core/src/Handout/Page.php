<?php

declare(strict_types=1);

namespace Gravik\Handout;

/** One side of the handout, as a drawing. */
final readonly class Page
{
    /** @param string $svg a whole SVG element, its size in px */
    public function __construct(public string $svg) {}
}
