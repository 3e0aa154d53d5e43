<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Score;

/**
 * One bar of one part as pieces of a score, before it is known whether a repeat plays it.
 *
 * @internal used by MusicXmlFile
 */
final readonly class ScoreBar
{
    /**
     * @param string $settings what holds from here on: key, meter, tempo, swing; empty where all goes on as before
     * @param string $marks    names of the section and the pass
     * @param string $music    its chords and notes
     */
    public function __construct(public string $settings, public string $marks, public string $music) {}
}
