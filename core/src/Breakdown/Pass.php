<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

/** One time through the form. */
final readonly class Pass
{
    /** @param list<Cell> $cells what is different in it */
    public function __construct(public string $id, public string $name = '', public string $notes = '', public array $cells = []) {}

    /** @param list<Cell> $cells */
    public function with(array $cells): self
    {
        return new self($this->id, $this->name, $this->notes, $cells);
    }
}
