<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Neck\Company;
use Gravik\Neck\Line\PathWishes;

/** One way through the song's chords on the neck: who it sounds with, what is wished for, which grips are given. */
final readonly class VoicingLine
{
    /**
     * @param list<Pin> $pins
     * @param ?string   $aloneOf id of the line in whose place it is held where the guitar is alone
     */
    public function __construct(
        public string $id,
        public string $name,
        public Company $company = Company::Alone,
        public PathWishes $wishes = new PathWishes(),
        public array $pins = [],
        public ?string $aloneOf = null,
    ) {}

    /** @param ?string $id of the line in whose place it is held where the guitar is alone */
    public function standingFor(?string $id): self
    {
        return new self($this->id, $this->name, $this->company, $this->wishes, $this->pins, $id);
    }

    public function as(string $id): self
    {
        return new self($id, $this->name, $this->company, $this->wishes, $this->pins, $this->aloneOf);
    }

    /** @param ?list<Pin> $pins */
    public function with(?array $pins = null, ?PathWishes $wishes = null, ?Company $company = null): self
    {
        return new self(
            $this->id, $this->name, $company ?? $this->company, $wishes ?? $this->wishes, $pins ?? $this->pins, $this->aloneOf,
        );
    }
}
