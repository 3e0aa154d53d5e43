<?php

declare(strict_types=1);

namespace Gravik\Listening\Hearing\Internal;

use Gravik\Strokes\Direction;

/**
 * The way of a strum through the strings.
 *
 * @internal
 */
final readonly class Sweep
{
    /**
     * @param ?Direction $direction null where it cannot be told
     * @param float      $firstMs   when the first of the partials that count sets in, ms after the beginning that was heard
     */
    public function __construct(public ?Direction $direction, public float $firstMs) {}
}
