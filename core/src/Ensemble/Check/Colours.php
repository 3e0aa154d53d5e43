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
use Gravik\Performance\Event;

/** A part that does not lead has altered or upper tones while another leads: their colours may contradict each other. */
final readonly class Colours implements Check
{
    private const SEVERITY = 0.45;

    /** Root, third, fifth, sixth and seventh say what the chord is; the rest is colour. */
    private const PLAIN = [1, 3, 5, 6, 7];

    public function kind(): ClashKind
    {
        return ClashKind::Colours;
    }

    public function missing(Heard $heard): ?string
    {
        return count($heard->chordal()) < 2 ? 'one part alone plays chords' : null;
    }

    public function find(Heard $heard): array
    {
        $clashes = [];
        foreach ($heard->chordal() as $part) {
            $others = array_filter($heard->chordal(), static fn (BandPart $other): bool => $other->id !== $part->id);
            $found = fn (int $bar): bool => in_array($heard->role($part, $bar), [Role::Passive, Role::Four], true)
                && array_filter($others, static fn (BandPart $other): bool => $heard->role($other, $bar)->leads()) !== []
                && $this->coloured($heard, $part, $bar) !== [];
            foreach ($heard->visitsWhere($found) as $bars) {
                $clashes[] = $this->clash($heard, $part, $bars);
            }
        }

        return $clashes;
    }

    /** @param non-empty-list<int> $bars */
    private function clash(Heard $heard, BandPart $part, array $bars): Clash
    {
        $coloured = $this->coloured($heard, $part, $bars[0]);

        return new Clash(
            $this->kind(),
            sprintf(
                '%s holds back in %s and still plays %s, while another part leads.',
                ucfirst(Heard::name($part)),
                $heard->barWords($bars[0]),
                implode(', ', array_unique(array_values($coloured))),
            ),
            self::SEVERITY,
            [$part->id],
            $bars,
            array_keys($coloured),
            [
                new Mend('Guide tones alone', static fn (): Breakdown => $heard->inRole($part, Role::Passive, $bars[0])),
                new Mend('Lay it out', static fn (): Breakdown => $heard->inRole($part, Role::Out, $bars[0])),
            ],
        );
    }

    /** @return array<int, string> tick => what the strange tone is called there */
    private function coloured(Heard $heard, BandPart $part, int $bar): array
    {
        $coloured = [];
        foreach ($heard->in($part, $bar) as $event) {
            $chord = $heard->chordAt($event->tick);
            $degree = $event->pitch === null ? null : $chord?->degreeOf($event->pitch % 12);
            if ($degree !== null && (! in_array($degree->number, self::PLAIN, true) || self::isAltered($event, $heard))) {
                $coloured[$event->tick] = $degree->label();
            }
        }

        return $coloured;
    }

    private static function isAltered(Event $event, Heard $heard): bool
    {
        $chord = $heard->chordAt($event->tick);

        return $chord !== null && $event->pitch !== null && ! $chord->has($event->pitch);
    }
}
