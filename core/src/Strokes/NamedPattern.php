<?php

declare(strict_types=1);

namespace Gravik\Strokes;

/** A pattern as the song knows it. */
final readonly class NamedPattern
{
    /**
     * @param bool    $runsOn  through the sections that follow one another with it; else it begins anew with each
     * @param ?string $aloneOf id of the pattern in whose place it is played where the guitar is alone
     */
    public function __construct(
        public string $id,
        public string $name,
        public Pattern $pattern,
        public School $school = School::Pendulum,
        public bool $runsOn = false,
        public ?string $aloneOf = null,
    ) {}

    /** @param ?string $id of the pattern in whose place it is played where the guitar is alone */
    public function standingFor(?string $id): self
    {
        return new self($this->id, $this->name, $this->pattern, $this->school, $this->runsOn, $id);
    }

    public function as(string $id): self
    {
        return new self($id, $this->name, $this->pattern, $this->school, $this->runsOn, $this->aloneOf);
    }

    public function with(?Pattern $pattern = null, ?School $school = null, ?bool $runsOn = null): self
    {
        return new self(
            $this->id, $this->name, $pattern ?? $this->pattern, $school ?? $this->school, $runsOn ?? $this->runsOn, $this->aloneOf,
        );
    }
}
