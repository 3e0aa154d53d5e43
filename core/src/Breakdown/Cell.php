<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Band\Groove;
use Gravik\Band\Role;
use Gravik\Breakdown\Failure\CellOutOfRange;
use Gravik\Breakdown\Failure\LevelOutOfRange;
use Gravik\Strokes\Hand\Levels;

/** What is different for one part in some sections, times or bars; what a cell does not name is as above it. */
final readonly class Cell
{
    public const MOST_DYNAMIC = 2;

    private const LONGEST_NOTE = 120;

    /**
     * @param string     $part    id
     * @param ?string    $section id; null for all
     * @param ?list<int> $times   of the section in a pass, from 1; null for all
     * @param ?string    $pattern id
     * @param ?string    $line    id of a voicing line
     * @param ?int       $level   of the pattern, 1 to 3
     * @param ?list<int> $bars    of the section, from 0, those of its ending counted on; null for all
     * @param ?int       $dynamic levels louder or softer than the song is there, −2 to 2
     * @param ?string    $note    that stands under the bars
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
        public ?array $bars = null,
        public ?Texture $texture = null,
        public ?int $dynamic = null,
        public ?string $note = null,
    ) {
        if ($level !== null && ($level < 1 || $level > Levels::HIGHEST)) {
            throw new LevelOutOfRange();
        }
        if ($dynamic !== null && abs($dynamic) > self::MOST_DYNAMIC) {
            throw new CellOutOfRange('dynamic', 'is at most two levels louder (2) or softer (-2).');
        }
        if ($bars !== null && ($bars === [] || min($bars) < 0 || $section === null)) {
            throw new CellOutOfRange('bars', 'are bars of a section that is named, counted from 0.');
        }
        if ($note !== null && mb_strlen($note) > self::LONGEST_NOTE) {
            throw new CellOutOfRange('note', 'has at most 120 characters.');
        }
    }

    /**
     * The same difference in another place.
     *
     * @param ?list<int> $bars
     */
    public function at(string $section, ?array $bars): self
    {
        return new self(
            $this->part, $section, $this->times, $this->role, $this->pattern, $this->line, $this->level, $this->groove, $bars,
            $this->texture, $this->dynamic, $this->note,
        );
    }

    /** The same difference for another part. */
    public function of(string $part): self
    {
        return new self(
            $part, $this->section, $this->times, $this->role, $this->pattern, $this->line, $this->level, $this->groove, $this->bars,
            $this->texture, $this->dynamic, $this->note,
        );
    }

    /** With another pattern and line. */
    public function playing(?string $pattern, ?string $line): self
    {
        return new self(
            $this->part, $this->section, $this->times, $this->role, $pattern, $line, $this->level, $this->groove, $this->bars,
            $this->texture, $this->dynamic, $this->note,
        );
    }

    /** With what another cell names, that of the other before its own. */
    public function under(self $nearer): self
    {
        return new self(
            $nearer->part, $nearer->section, $nearer->times, $nearer->role ?? $this->role, $nearer->pattern ?? $this->pattern,
            $nearer->line ?? $this->line, $nearer->level ?? $this->level, $nearer->groove ?? $this->groove, $nearer->bars,
            $nearer->texture ?? $this->texture, $nearer->dynamic ?? $this->dynamic, $nearer->note ?? $this->note,
        );
    }

    /** As above again in this one thing. */
    public function without(CellField $field): self
    {
        $keep = static fn (CellField $each): bool => $each !== $field;

        return new self(
            $this->part, $this->section, $this->times, $keep(CellField::Role) ? $this->role : null,
            $keep(CellField::Pattern) ? $this->pattern : null, $keep(CellField::Line) ? $this->line : null,
            $keep(CellField::Level) ? $this->level : null, $keep(CellField::Groove) ? $this->groove : null, $this->bars,
            $keep(CellField::Texture) ? $this->texture : null, $keep(CellField::Dynamic) ? $this->dynamic : null,
            $keep(CellField::Note) ? $this->note : null,
        );
    }

    public function isAt(self $other): bool
    {
        return [$this->part, $this->section, $this->times] === [$other->part, $other->section, $other->times];
    }

    public function names(CellField $field): bool
    {
        return $this->telling() !== $this->without($field)->telling();
    }

    /** All that it says, wherever it says it. */
    public function telling(): string
    {
        return implode('|', array_map(
            static fn (int|string|null $told): string => $told === null ? '' : "={$told}",
            [
                $this->role?->value, $this->pattern, $this->line, $this->level, $this->groove?->slug, $this->texture?->value,
                $this->dynamic, $this->note,
            ],
        ));
    }

    public function holdsFor(string $part, string $section, int $time): bool
    {
        return $this->part === $part
            && ($this->section === null || $this->section === $section)
            && ($this->times === null || in_array($time, $this->times, true));
    }

    public function holdsInBar(int $bar): bool
    {
        return $this->bars === null || in_array($bar, $this->bars, true);
    }

    /** The more it names, the nearer it stands to the place: of two that hold, the higher counts. */
    public function weight(): int
    {
        return ($this->bars === null ? 0 : 4) + ($this->section === null ? 0 : 2) + ($this->times === null ? 0 : 1);
    }

    public function saysNothing(): bool
    {
        return trim($this->telling(), '|') === '';
    }
}
