<?php

declare(strict_types=1);

namespace Gravik\Handout;

/** A piece of the page that is never cut: a heading, a row of bars, a row of grips. */
final readonly class Block
{
    /**
     * @param float $height    in px
     * @param string $svg      drawn from (0, 0) down
     * @param bool  $withNext  whether it may not stand last on a page
     * @param ?Part $part      that it belongs to; null for the head
     */
    public function __construct(public float $height, public string $svg, public bool $withNext = false, public ?Part $part = null) {}
}
