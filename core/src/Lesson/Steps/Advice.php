<?php

declare(strict_types=1);

namespace Gravik\Lesson\Steps;

/** What a stage asks for, in one sentence to say, and what usually goes wrong in just these strokes and changes. */
final readonly class Advice
{
    /** @param list<string> $mistakes the most usual first */
    public function __construct(public string $say, public array $mistakes) {}
}
