<?php

declare(strict_types=1);

namespace Gravik\Strokes\Hand;

/** Advice about a pattern at a tempo; a rule of thumb, never a refusal. */
final readonly class Warning
{
    /** @param list<int> $at ticks of the strokes concerned; empty for the whole pattern */
    public function __construct(public WarningKind $kind, public string $text, public array $at = []) {}
}
