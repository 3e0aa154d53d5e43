<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Draft;

use Gravik\Strokes\Direction;
use Gravik\Strokes\Ornament;
use Gravik\Strokes\Zone;

/**
 * One stroke as another file tells it.
 *
 * @internal used by the readers of drafts
 */
final readonly class DraftStroke
{
    /**
     * @param int             $tick   from the bar line, 960 a quarter
     * @param array<int, int> $frets  string number => fret from the capo; empty where the file has pitches only
     * @param int             $notes  how many sound together
     * @param int             $accent 0 to 3
     * @param list<int>|Zone  $strings of the grip that are struck
     * @param int             $line   of two, from 0
     * @param bool            $off    whether it has notes that the grip has not
     * @param array<int, Ornament> $moves string number => how its note is come to or left
     */
    public function __construct(
        public int $tick,
        public array $frets,
        public int $notes,
        public ?Direction $direction = null,
        public bool $dead = false,
        public bool $ghost = false,
        public bool $palm = false,
        public bool $short = false,
        public int $accent = 1,
        public bool $push = false,
        public array|Zone $strings = Zone::All,
        public bool $off = false,
        public int $line = 0,
        public array $moves = [],
    ) {}

    /** What all its notes do alike; null where there is nothing of the kind. */
    public function ornament(): ?Ornament
    {
        return $this->movesApart() ? null : array_values($this->moves)[0] ?? null;
    }

    /** Whether some of its strings are slid, hammered or bent and others not, or otherwise. */
    public function movesApart(): bool
    {
        $kinds = array_unique(array_map(static fn (Ornament $move): string => "{$move->kind->value} {$move->frets}", $this->moves));

        // What can't be done on an open string is not told of it.
        $without = array_filter(array_diff_key($this->frets, $this->moves), static fn (int $fret): bool => $fret > 0);

        return count($kinds) > 1 || ($this->moves !== [] && $without !== []);
    }

    /** @param list<int>|Zone $strings */
    public function over(array|Zone $strings, bool $push, bool $off): self
    {
        return new self(
            $this->tick, $this->frets, $this->notes, $this->direction, $this->dead, $this->ghost, $this->palm, $this->short, $this->accent,
            $push, $strings, $off, $this->line, $this->moves,
        );
    }
}
