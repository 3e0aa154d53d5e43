<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Band\Groove;
use Gravik\Band\Role;
use Gravik\Breakdown\Failure\LevelOutOfRange;
use Gravik\Strokes\Hand\Levels;

/** What is different for one part in some sections or times; what a cell does not name is as above it. */
final readonly class Cell
{
    /**
     * @param string     $part    id
     * @param ?string    $section id; null for all
     * @param ?list<int> $times   of the section in a pass, from 1; null for all
     * @param ?string    $pattern id
     * @param ?string    $line    id of a voicing line
     * @param ?int       $level   of the pattern, 1 to 3
     */
    public function __construct(
        public string $part,
        public ?string $section = null,
        public ?array $times = null,
        public ?Role $role = null,
        public ?string $pattern = null,
        public ?string $line = null,
        public ?int $level = null,
        public ?Groove $groove = null,
    ) {
        if ($level !== null && ($level < 1 || $level > Levels::HIGHEST)) {
            throw new LevelOutOfRange();
        }
    }

    public function in(string $section): self
    {
        return new self($this->part, $section, $this->times, $this->role, $this->pattern, $this->line, $this->level, $this->groove);
    }

    public function naming(?string $pattern, ?string $line): self
    {
        return new self(
            $this->part, $this->section, $this->times, $this->role, $pattern
                ?? $this->pattern, $line
                ?? $this->line, $this->level, $this->groove,
        );
    }

    public function holdsFor(string $part, string $section, int $time): bool
    {
        return $this->part === $part
            && ($this->section === null || $this->section === $section)
            && ($this->times === null || in_array($time, $this->times, true));
    }

    /** The more it names, the nearer it stands to the place: of two that hold, the higher counts. */
    public function weight(): int
    {
        return ($this->section === null ? 0 : 2) + ($this->times === null ? 0 : 1);
    }
}
