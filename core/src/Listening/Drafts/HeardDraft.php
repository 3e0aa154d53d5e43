<?php

declare(strict_types=1);

namespace Gravik\Listening\Drafts;

use Gravik\Breakdown\Breakdown;

/** A breakdown drafted from a recording; what is unsure is marked in it. */
final readonly class HeardDraft
{
    /** @param list<HeardPart> $parts form, tempo, feel, strokes, chords, grips */
    public function __construct(public Breakdown $breakdown, public array $parts) {}
}
