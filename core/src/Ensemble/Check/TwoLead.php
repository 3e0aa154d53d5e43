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

/** Two chordal parts that both comp actively: whoever leads in the style stays, the other holds back, alternates or lays out. */
final readonly class TwoLead implements Check
{
    private const SEVERITY = 0.8;

    public function kind(): ClashKind
    {
        return ClashKind::TwoLead;
    }

    public function missing(Heard $heard): ?string
    {
        return count($heard->chordal()) < 2 ? 'one part alone plays chords' : null;
    }

    public function find(Heard $heard): array
    {
        $leads = static fn (int $bar): bool => count(array_filter(
            $heard->leading($bar),
            static fn (BandPart $part): bool => $heard->in($part, $bar) !== [],
        )) > 1;

        return array_map(fn (array $bars): Clash => $this->clash($heard, $bars), $heard->visitsWhere($leads));
    }

    /** @param non-empty-list<int> $bars */
    private function clash(Heard $heard, array $bars): Clash
    {
        $guitarLeads = $heard->style($bars[0])->guitarLeads();
        $parts = $heard->leading($bars[0]);
        $yields = static fn (BandPart $part): int => match ($part->instrument) {
            Instrument::Guitar => $guitarLeads ? 0 : 1,
            Instrument::SecondGuitar => 2,
            default => $guitarLeads ? 1 : 0,
        };
        usort($parts, static fn (BandPart $a, BandPart $b): int => $yields($a) <=> $yields($b));
        $other = $parts[count($parts) - 1];
        $name = Heard::name($other);

        return new Clash(
            $this->kind(),
            sprintf(
                '%s and %s both comp actively from %s. Two who shape rhythm and chords are one too many.',
                ucfirst(Heard::name($parts[0])),
                $name,
                $heard->barWords($bars[0]),
            ),
            self::SEVERITY,
            array_map(static fn (BandPart $part): string => $part->id, $parts),
            $bars,
            [],
            [
                new Mend("Let {$name} hold back", static fn (): Breakdown => $heard->inRole($other, Role::Passive, $bars[0])),
                new Mend(
                    'Let '.Heard::name($parts[0]).' hold back',
                    static fn (): Breakdown => $heard->inRole($parts[0], Role::Passive, $bars[0]),
                ),
                new Mend("Lay {$name} out", static fn (): Breakdown => $heard->inRole($other, Role::Out, $bars[0])),
            ],
        );
    }
}
