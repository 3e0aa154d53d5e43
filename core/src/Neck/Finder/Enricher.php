<?php

declare(strict_types=1);

namespace Gravik\Neck\Finder;

use Gravik\Harmony\Key;
use Gravik\Harmony\Scale;
use Gravik\Neck\Company;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\HandProfile;
use Gravik\Neck\Neck;

/** What colour a grip can take: every scale note of the key that the hand can add on its two highest strings. */
final readonly class Enricher
{
    private const UPPER_STRINGS = 2;

    private const HAND = 4;

    public function __construct(
        private Neck $neck,
        private VoicingFinder $finder,
        private Company $company,
        private HandProfile $hand = new HandProfile(),
    ) {}

    /**
     * @return list<Enrichment> string by string from the highest; none for a part that keeps to shells, where colour
     *                          would clash with what the others play
     */
    public function of(Voicing $grip, Key $key): array
    {
        if ($this->company === Company::Shell) {
            return [];
        }
        $scale = Scale::ofKey($key);
        $open = $this->neck->openMidi();
        $found = [];
        foreach (array_slice(array_reverse($open, true), 0, self::UPPER_STRINGS, true) as $string => $midi) {
            for ($fret = 0; $fret <= max(1, $grip->position) + self::HAND; $fret++) {
                $frets = $grip->frets;
                $frets[$string] = $fret;
                if ($fret === $grip->frets[$string] || ! $scale->has(($midi + $fret) % 12)) {
                    continue;
                }
                $richer = $this->finder->voicing($grip->chord, array_values($frets));
                if ($richer !== null && $richer->spanMm <= $this->hand->reachMm() && $richer->bassMidi() === $grip->bassMidi()) {
                    $found[] = new Enrichment(
                        count($open) - $string,
                        $fret,
                        $grip->chord->degreeOf(($midi + $fret) % 12)->label(),
                        $grip->chord->isFoughtBy($midi + $fret),
                        $richer,
                    );
                }
            }
        }

        return $found;
    }
}
