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

/** A part doubles the melody through a section in which nobody plays one, and is silent there. */
final readonly class NothingToDouble implements Check
{
    private const SEVERITY = 0.7;

    public function kind(): ClashKind
    {
        return ClashKind::NothingToDouble;
    }

    public function missing(Heard $heard): ?string
    {
        return null;
    }

    public function find(Heard $heard): array
    {
        $tune = $heard->breakdown->tune($heard->timeline->course);
        $sung = [];
        foreach (array_keys($tune) as $bar) {
            $sung[$heard->visit($bar)->bar] = true;
        }
        $clashes = [];
        foreach ($heard->breakdown->parts as $part) {
            $idle = static fn (int $bar): bool => $heard->role($part, $bar) === Role::Doubles && ! isset($sung[$heard->visit($bar)->bar]);
            foreach ($heard->visitsWhere($idle) as $bars) {
                $clashes[] = $this->clash($heard, $part, $bars);
            }
        }

        return $clashes;
    }

    /** @param non-empty-list<int> $bars */
    private function clash(Heard $heard, BandPart $part, array $bars): Clash
    {
        $name = Heard::name($part);

        return new Clash(
            $this->kind(),
            sprintf(
                '%s doubles the melody from %s, and nobody plays one there: give the lead a tune in the line-up, or another role here.',
                ucfirst($name),
                $heard->barWords($bars[0]),
            ),
            self::SEVERITY,
            [$part->id],
            $bars,
            [],
            [
                new Mend("Let {$name} hold back", static fn (): Breakdown => $heard->inRole($part, Role::Passive, $bars[0])),
                new Mend("Lay {$name} out", static fn (): Breakdown => $heard->inRole($part, Role::Out, $bars[0])),
            ],
        );
    }
}
