<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Neck\Company;
use Gravik\Neck\Line\PathWishes;

/** One way through the song's chords on the neck: who it sounds with, what is wished for, which grips are given. */
final readonly class VoicingLine
{
    /** @param list<Pin> $pins */
    public function __construct(
        public string $id,
        public string $name,
        public Company $company = Company::Alone,
        public PathWishes $wishes = new PathWishes(),
        public array $pins = [],
    ) {}

    public function as(string $id): self
    {
        return new self($id, $this->name, $this->company, $this->wishes, $this->pins);
    }

    /** @param ?list<Pin> $pins */
    public function with(?array $pins = null, ?PathWishes $wishes = null, ?Company $company = null): self
    {
        return new self($this->id, $this->name, $company ?? $this->company, $wishes ?? $this->wishes, $pins ?? $this->pins);
    }
}
