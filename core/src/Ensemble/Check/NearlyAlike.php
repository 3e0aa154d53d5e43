<?php

declare(strict_types=1);

namespace Gravik\Ensemble\Check;

use Gravik\Band\BandPart;
use Gravik\Band\Role;
use Gravik\Breakdown\Breakdown;
use Gravik\Ensemble\Check;
use Gravik\Ensemble\Clash;
use Gravik\Ensemble\ClashKind;
use Gravik\Ensemble\Heard;
use Gravik\Ensemble\Mend;
use Gravik\Ensemble\Overlap;

/** Two chordal parts whose onsets are nearly the same: neither together nor between one another. Who holds long notes is in
 * nobody's way. The worst bar of each visit is told. */
final readonly class NearlyAlike implements Check
{
    public function kind(): ClashKind
    {
        return ClashKind::NearlyAlike;
    }

    public function missing(Heard $heard): ?string
    {
        return count($heard->chordal()) < 2 ? 'one part alone plays chords' : null;
    }

    public function find(Heard $heard): array
    {
        $parts = $heard->chordal();
        $clashes = [];
        foreach ($parts as $number => $one) {
            foreach (array_slice($parts, $number + 1) as $other) {
                $roles = static fn (int $bar): array => [$heard->role($one, $bar), $heard->role($other, $bar)];
                $rhythms = static fn (int $bar): Overlap => Overlap::of($heard->onsets($one, $bar), $heard->onsets($other, $bar));
                $blurred = static fn (int $bar): bool => ! in_array(Role::Passive, $roles($bar), true) && $rhythms($bar)->isBlur();
                foreach ($heard->visitsWhere($blurred) as $bars) {
                    $clashes[] = $this->clash($heard, $one, $other, $bars);
                }
            }
        }

        return $clashes;
    }

    /** @param non-empty-list<int> $bars */
    private function clash(Heard $heard, BandPart $one, BandPart $other, array $bars): Clash
    {
        $overlaps = array_combine($bars, array_map(
            static fn (int $bar): Overlap => Overlap::of($heard->onsets($one, $bar), $heard->onsets($other, $bar)),
            $bars,
        ));
        uasort($overlaps, static fn (Overlap $a, Overlap $b): int => $b->share <=> $a->share);
        $worst = array_key_first($overlaps);
        $overlap = $overlaps[$worst];

        return new Clash(
            $this->kind(),
            sprintf(
                '%s and %s share %d of %d slots in %s (%.2f; from 0.34 up to a unison it blurs): %s.',
                ucfirst(Heard::name($one)),
                Heard::name($other),
                count($overlap->shared),
                $overlap->all,
                $heard->barWords($worst),
                $overlap->share,
                implode(', ', array_map($heard->slotWords(...), $overlap->shared)),
            ),
            $overlap->share,
            [$one->id, $other->id],
            [$worst, ...array_values(array_diff($bars, [$worst]))],
            $overlap->shared,
            [
                new Mend('Let '.Heard::name($other).' hold', static fn (): Breakdown => $heard->inRole($other, Role::Passive, $worst)),
                new Mend('Let '.Heard::name($one).' hold', static fn (): Breakdown => $heard->inRole($one, Role::Passive, $worst)),
            ],
        );
    }
}
