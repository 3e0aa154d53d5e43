<?php

declare(strict_types=1);

namespace Gravik\Strokes;

use Gravik\Quote;

/** One line of strokes with its own rhythm: thumb bass, brushes, a line, shells. */
final readonly class Stream
{
    /** @var list<Stroke> in order of time */
    public array $strokes;

    /** @param list<Stroke> $strokes at most one at a tick */
    public function __construct(public string $name, array $strokes)
    {
        usort($strokes, static fn (Stroke $a, Stroke $b): int => $a->at <=> $b->at);
        foreach (array_slice($strokes, 1) as $place => $stroke) {
            if ($stroke->at === $strokes[$place]->at) {
                throw StrokesException::twoAtOnce($stroke->at, Quote::short($name));
            }
        }
        $this->strokes = $strokes;
    }
}
