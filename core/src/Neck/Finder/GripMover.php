<?php

declare(strict_types=1);

namespace Gravik\Neck\Finder;

use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Harmony\Scale;
use Gravik\Neck\Grip\Frets;
use Gravik\Neck\Grip\Voicing;
use Gravik\Pitch\NoteName;

/** Slides a grip along the neck as it is: every name moves with it, spelled by the key of the tune. */
final readonly class GripMover
{
    public function __construct(private VoicingFinder $finder, private Key $key) {}

    /** @return ?Voicing null where an open string keeps it in place, or it leaves frets 1 to 15 */
    public function moved(Voicing $grip, int $frets): ?Voicing
    {
        $slid = Frets::slid($grip->frets, $frets);

        return $slid === null ? null : $this->finder->voicing($this->raised($grip->chord, $frets), $slid);
    }

    /** @return ?Voicing the same shape on the root of another chord, by the shorter way; null where it cannot go there */
    public function onto(Voicing $grip, ChordSymbol $chord): ?Voicing
    {
        $slid = Frets::onRootOf($chord, $grip->frets, $grip->chord);

        return $slid === null ? null : $this->finder->voicing($chord, $slid);
    }

    /**
     * Strangers to the key are spelled as they lead: with flats from above, with sharps from below.
     *
     * @param int $semitones upwards, negative for down
     */
    public function raised(ChordSymbol $chord, int $semitones): ChordSymbol
    {
        $scale = Scale::ofKey($this->key);
        $spelled = function (int $from) use ($semitones, $scale): NoteName {
            $pitchClass = (($from + $semitones) % 12 + 12) % 12;

            return $scale->has($pitchClass) ? $this->key->spell($pitchClass) : NoteName::plain($pitchClass, $semitones < 0);
        };

        return $semitones === 0
            ? $chord
            : $chord->onRoot($spelled($chord->rootPitchClass()), $chord->bass === null ? null : $spelled($chord->bass->pitchClass()));
    }
}
