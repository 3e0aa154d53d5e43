<?php

declare(strict_types=1);

namespace Gravik\Neck\Line;

use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Neck\Finder\GripMover;
use Gravik\Neck\Finder\VoicingFinder;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\Neck;

/**
 * "The same tune in two places": from a grip of the I chord, IV and V by moving it, and by changing to the nearest grip
 * of each other family. Whatever the IV is held as, the V is that grip two frets up.
 */
final readonly class FamilyPlanner
{
    private const IV = 5;

    private const IV_TO_V = 2;

    private GripMover $mover;

    public function __construct(private Neck $neck, private VoicingFinder $finder, Key $key)
    {
        $this->mover = new GripMover($finder, $key);
    }

    /** @return list<FamilyRoute> the shortest way for the hand first; none where the grip cannot be moved */
    public function routes(Voicing $one): array
    {
        $fourth = $this->mover->raised($one->chord, self::IV);
        $fours = ['one shape moved' => $this->mover->onto($one, $fourth)];
        foreach ($this->nearest($one, $fourth) as $letter => $grip) {
            $fours["{$one->familyOn($this->neck)?->letter} shape to {$letter} shape"] = $grip;
        }
        $routes = [];
        foreach ($fours as $way => $four) {
            // Moving up is what the hand has learned; only where the neck ends does it go down.
            $five = $four === null ? null : $this->mover->moved($four, self::IV_TO_V) ?? $this->mover->moved($four, self::IV_TO_V - 12);
            if ($four !== null && $five !== null) {
                $routes[] = $this->route($way, $one, $four, $five);
            }
        }
        usort($routes, static fn (FamilyRoute $a, FamilyRoute $b): int => $a->travelMm <=> $b->travelMm);

        return $routes;
    }

    /**
     * @return array<string, Voicing> family letter => the nearest grip of that family for the same chord; the best of those equally near
     */
    public function inOtherFamilies(Voicing $grip): array
    {
        return $this->nearest($grip, $grip->chord);
    }

    /** @return array<string, Voicing> */
    private function nearest(Voicing $from, ChordSymbol $chord): array
    {
        $home = $from->familyOn($this->neck)?->letter;
        $nearest = [];
        foreach ($home === null ? [] : $this->finder->find($chord, PathFinder::CANDIDATES)->best as $voicing) {
            $letter = $voicing->familyOn($this->neck)?->letter;
            if ($letter !== null && $letter !== $home && (! isset($nearest[$letter]) || $this->neck->travelMm(
                $from->position,
                $voicing->position,
            ) < $this->neck->travelMm(
                $from->position,
                $nearest[$letter]->position,
            ) - 0.01)) {
                $nearest[$letter] = $voicing;
            }
        }
        ksort($nearest);

        return $nearest;
    }

    private function route(string $way, Voicing $one, Voicing $four, Voicing $five): FamilyRoute
    {
        $round = [$one, $four, $five, $one];
        $frets = 0;
        $mm = 0.0;
        foreach (array_slice($round, 1) as $place => $to) {
            $frets += abs($to->position - $round[$place]->position);
            $mm += $this->neck->travelMm($round[$place]->position, $to->position);
        }

        return new FamilyRoute($way, [$one, $four, $five], $frets, $mm);
    }
}
