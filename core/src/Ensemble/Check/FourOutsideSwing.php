<?php

declare(strict_types=1);

namespace Gravik\Ensemble\Check;

use Gravik\Band\Role;
use Gravik\Band\Style;
use Gravik\Breakdown\Breakdown;
use Gravik\Ensemble\Check;
use Gravik\Ensemble\Clash;
use Gravik\Ensemble\ClashKind;
use Gravik\Ensemble\Heard;
use Gravik\Ensemble\Mend;

/** Quarter notes on every beat belong to swing. */
final readonly class FourOutsideSwing implements Check
{
    private const SEVERITY = 0.5;

    public function kind(): ClashKind
    {
        return ClashKind::FourOutsideSwing;
    }

    public function missing(Heard $heard): ?string
    {
        return null;
    }

    public function find(Heard $heard): array
    {
        $clashes = [];
        foreach ($heard->chordal() as $part) {
            $outside = static fn (int $bar): bool => $heard->role($part, $bar) === Role::Four && $heard->style($bar) !== Style::Swing;
            foreach ($heard->visitsWhere($outside) as $bars) {
                $clashes[] = new Clash(
                    $this->kind(),
                    sprintf(
                        '%s plays four to the bar from %s, in %s. That pulse belongs to swing.',
                        ucfirst(Heard::name($part)),
                        $heard->barWords($bars[0]),
                        $heard->style($bars[0])->words(),
                    ),
                    self::SEVERITY,
                    [$part->id],
                    $bars,
                    [],
                    [
                        new Mend('Comp actively', static fn (): Breakdown => $heard->inRole($part, Role::Active, $bars[0])),
                        new Mend('Hold back', static fn (): Breakdown => $heard->inRole($part, Role::Passive, $bars[0])),
                    ],
                );
            }
        }

        return $clashes;
    }
}
