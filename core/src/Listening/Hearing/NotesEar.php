<?php

declare(strict_types=1);

namespace Gravik\Listening\Hearing;

use Gravik\Listening\Hearing\Internal\Envelopes;
use Gravik\Listening\Hearing\Internal\NoteMeter;

/** Hears the notes of a recording where somebody asks for them: it takes as long as hearing its strokes. */
final readonly class NotesEar
{
    /** @param float $cents the recording's tuning from A = 440, + sharp */
    public function __construct(private Envelopes $envelopes, private float $cents) {}

    public function notes(): NotesHeard
    {
        return (new NoteMeter($this->envelopes, $this->cents))->measure();
    }
}
