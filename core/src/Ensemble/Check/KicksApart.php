<?php

declare(strict_types=1);

namespace Gravik\Ensemble\Check;

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Band\Role;
use Gravik\Breakdown\Breakdown;
use Gravik\Ensemble\Check;
use Gravik\Ensemble\Clash;
use Gravik\Ensemble\ClashKind;
use Gravik\Ensemble\Heard;
use Gravik\Ensemble\Mend;
use Gravik\Ensemble\Overlap;

/** Horns that strike beside what the guitar plays in unison with them. */
final readonly class KicksApart implements Check
{
    private const SEVERITY = 0.5;

    public function kind(): ClashKind
    {
        return ClashKind::KicksApart;
    }

    public function missing(Heard $heard): ?string
    {
        return $heard->part(Instrument::Horns) === null ? 'there are no horns to strike with' : null;
    }

    public function find(Heard $heard): array
    {
        $horns = $heard->part(Instrument::Horns);
        if ($horns === null) {
            return [];
        }
        $clashes = [];
        foreach ($heard->chordal() as $part) {
            $apart = fn (int $bar): bool => $heard->role($part, $bar) === Role::Unison && $this->stray($heard, $part, $horns, $bar) !== [];
            foreach ($heard->visitsWhere($apart) as $bars) {
                $stray = $this->stray($heard, $part, $horns, $bars[0]);
                $clashes[] = new Clash(
                    $this->kind(),
                    sprintf(
                        '%s is to strike with the horns, and in %s %s stand alone.',
                        ucfirst(Heard::name($part)),
                        $heard->barWords($bars[0]),
                        implode(', ', array_map($heard->slotWords(...), $stray)),
                    ),
                    self::SEVERITY,
                    [$part->id, $horns->id],
                    $bars,
                    $stray,
                    [
                        new Mend(
                            'Let the horns strike with the guitar',
                            static fn (): Breakdown => $heard->inRole($horns, Role::Unison, $bars[0]),
                        ),
                        new Mend('Lay the horns out there', static fn (): Breakdown => $heard->inRole($horns, Role::Out, $bars[0])),
                        new Mend(
                            'Let '.Heard::name($part).' comp',
                            static fn (): Breakdown => $heard->inRole($part, Role::Active, $bars[0]),
                        ),
                    ],
                );
            }
        }

        return $clashes;
    }

    /** @return list<int> ticks that one strikes and the other does not; none where one of them is silent */
    private function stray(Heard $heard, BandPart $part, BandPart $horns, int $bar): array
    {
        [$one, $other] = [$heard->onsets($part, $bar), $heard->onsets($horns, $bar)];

        return $one === [] || $other === [] || Overlap::of($one, $other)->isUnison()
            ? []
            : [...array_values(array_diff($one, $other)), ...array_values(array_diff($other, $one))];
    }
}
