<?php

declare(strict_types=1);

namespace Gravik\Listening\Drafts;

use Gravik\Breakdown\Breakdown;
use Gravik\Listening\Chords\ChordsHeard;
use Gravik\Neck\Grip\Voicing;

/** A breakdown drafted from a recording; what is unsure is marked in it. */
final readonly class HeardDraft
{
    /**
     * @param Breakdown       $chordsAlone the breakdown it was drafted into with the new form and chords alone
     * @param list<HeardPart> $parts       form, tempo, feel, strokes, key, chords, grips
     * @param ChordsHeard     $heard       bar by bar of the recording
     * @param list<string>    $remarks     what speaks against its being comping at all
     * @param list<?Voicing>  $grips       of these chords; null where the neck has none
     */
    public function __construct(
        public Breakdown $breakdown,
        public Breakdown $chordsAlone,
        public array $parts,
        public ChordsHeard $heard,
        public array $grips,
        public array $remarks,
    ) {}
}
