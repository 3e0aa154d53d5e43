<?php

declare(strict_types=1);

namespace Gravik\Ensemble\Check;

use Gravik\Band\Instrument;
use Gravik\Band\Role;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Cell;
use Gravik\Breakdown\Change\CellSetter;
use Gravik\Ensemble\Check;
use Gravik\Ensemble\Clash;
use Gravik\Ensemble\ClashKind;
use Gravik\Ensemble\Heard;
use Gravik\Ensemble\Mend;

/** In a Latin or funk feel the guitar usually leads; here the keys alone do. */
final readonly class WrongLeader implements Check
{
    private const SEVERITY = 0.4;

    public function kind(): ClashKind
    {
        return ClashKind::WrongLeader;
    }

    public function missing(Heard $heard): ?string
    {
        return $heard->part(Instrument::Keys) === null ? 'nobody plays keys' : null;
    }

    public function find(Heard $heard): array
    {
        $keys = $heard->part(Instrument::Keys);
        if ($keys === null) {
            return [];
        }
        $guitar = $heard->breakdown->guitar();
        $wrong = static fn (int $bar): bool => $heard->style($bar)->guitarLeads()
            && $heard->role($keys, $bar)->leads()
            && in_array($heard->role($guitar, $bar), [Role::Passive, Role::Four], true);

        return array_map(function (array $bars) use ($heard, $keys, $guitar): Clash {
            return new Clash(
                $this->kind(),
                sprintf(
                    'The keys alone lead from %s, in %s, where the guitar usually does.',
                    $heard->barWords($bars[0]),
                    $heard->style($bars[0])->words(),
                ),
                self::SEVERITY,
                [$keys->id, $guitar->id],
                $bars,
                [],
                [new Mend('Let the guitar lead', static fn (): Breakdown => (new CellSetter())->set(
                    $heard->inRole($guitar, Role::Active, $bars[0]),
                    $heard->visit($bars[0])->pass,
                    new Cell($keys->id, $heard->visit($bars[0])->section->id, role: Role::Passive),
                ))],
            );
        }, $heard->visitsWhere($wrong));
    }
}
