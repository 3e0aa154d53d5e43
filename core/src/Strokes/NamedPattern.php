<?php

declare(strict_types=1);

namespace Gravik\Strokes;

/** A pattern as the song knows it. */
final readonly class NamedPattern
{
    /**
     * @param bool $runsOn through the sections that follow one another with it; else it begins anew with each
     */
    public function __construct(
        public string $id,
        public string $name,
        public Pattern $pattern,
        public School $school = School::Pendulum,
        public bool $runsOn = false,
    ) {}

    public function as(string $id): self
    {
        return new self($id, $this->name, $this->pattern, $this->school, $this->runsOn);
    }

    public function with(?Pattern $pattern = null, ?School $school = null, ?bool $runsOn = null): self
    {
        return new self($this->id, $this->name, $pattern ?? $this->pattern, $school ?? $this->school, $runsOn ?? $this->runsOn);
    }
}
