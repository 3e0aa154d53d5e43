<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Draft;

use Gravik\Time\Meter;

/**
 * One bar as another file tells it.
 *
 * @internal used by the readers of drafts
 */
final readonly class DraftBar
{
    /**
     * @param list<array{int, string}> $chords  tick from the bar line, symbol as we write it; '' where the chords stop
     * @param list<DraftStroke>        $strokes in order of time
     * @param ?string                  $section that begins with it
     */
    public function __construct(public Meter $meter, public array $chords, public array $strokes, public ?string $section = null) {}

    /** @param list<DraftStroke> $strokes */
    public function struck(array $strokes): self
    {
        return new self($this->meter, $this->chords, $strokes, $this->section);
    }

    /** The same bar as the first of a section. */
    public function of(string $section): self
    {
        return new self($this->meter, $this->chords, $this->strokes, $section);
    }

    /** Whether a chord or a stroke stands in it. */
    public function saysSomething(): bool
    {
        return $this->strokes !== [] || array_filter($this->chords, static fn (array $each): bool => $each[1] !== '') !== [];
    }
}
