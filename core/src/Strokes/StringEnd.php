<?php

declare(strict_types=1);

namespace Gravik\Strokes;

/** An ending of its own for some strings of a stroke: damped bass under a ringing treble. */
final readonly class StringEnd
{
    /** @param non-empty-list<int> $strings string numbers, 1 = highest */
    public function __construct(public array $strings, public Length $length, public ?StoppedBy $stoppedBy) {}
}
