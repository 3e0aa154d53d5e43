<?php

declare(strict_types=1);

namespace Gravik\Neck\Line;

use Gravik\Neck\Finder\VoicingFinder;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\HandProfile;
use Gravik\Neck\NeckException;

/** For a hand that cannot take a grip: why not, and the nearest grip of the same chord that it can. */
final readonly class EasierGrip
{
    private const PER_FRET_AWAY = 0.25;

    private const PER_STRING_CHANGED = 0.2;

    /** @param VoicingFinder $forHand one that searches with this hand */
    public function __construct(private VoicingFinder $forHand, private HandProfile $hand) {}

    /** @return ?string in words; null where the hand can take it */
    public function whyNot(Voicing $grip): ?string
    {
        if ($grip->spanMm > $this->hand->reachMm()) {
            return sprintf('it spans %d mm, this hand reaches %d', (int) round($grip->spanMm), (int) $this->hand->reachMm());
        }
        if ($this->forHand->voicing($grip->chord, $grip->frets) !== null) {
            return null;
        }

        return $grip->barres !== [] && ! $this->hand->barre ? 'it needs a barre' : 'it needs more fingers than this hand uses';
    }

    /**
     * Fewer strings, no barre or a smaller stretch, and the same required notes: the grip that changes least for the
     * ease it brings.
     *
     * @throws NeckException where this hand can take no grip of the chord here
     */
    public function instead(Voicing $grip): Voicing
    {
        $candidates = $this->forHand->find($grip->chord, PathFinder::CANDIDATES)->best;
        $best = $candidates[0];
        $least = INF;
        foreach ($candidates as $easier) {
            $changed = count(array_filter(
                array_keys($easier->frets),
                static fn (int $string): bool => $easier->frets[$string] !== $grip->frets[$string],
            ));
            $cost = $easier->rank + self::PER_STRING_CHANGED * $changed + self::PER_FRET_AWAY * abs($easier->position - $grip->position);
            if ($cost < $least) {
                [$best, $least] = [$easier, $cost];
            }
        }

        return $best;
    }
}
