<?php

declare(strict_types=1);

namespace Gravik\Listening\Chords;

use Gravik\Harmony\Key;

/** The chords of a recording and the key they lie in. */
final readonly class ChordsHeard
{
    /**
     * @param list<HeardChord> $chords in order, those of each bar from its beginning; a chord that goes on is told anew in every bar
     * @param bool             $keyIsGiven whether somebody said the key
     */
    public function __construct(public array $chords, public Key $key, public bool $keyIsGiven) {}
}
