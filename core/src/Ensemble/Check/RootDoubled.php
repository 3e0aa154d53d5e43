<?php

declare(strict_types=1);

namespace Gravik\Ensemble\Check;

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Breakdown\Breakdown;
use Gravik\Chart\VoicingLine;
use Gravik\Ensemble\Check;
use Gravik\Ensemble\Clash;
use Gravik\Ensemble\ClashKind;
use Gravik\Ensemble\Heard;
use Gravik\Ensemble\Mend;
use Gravik\Neck\Company;
use Gravik\Performance\Event;

/** A chordal part strikes the root below D3 together with a bass that has it anyway. */
final readonly class RootDoubled implements Check
{
    private const SEVERITY = 0.35;

    private const BELOW = 50;

    private const UP = 12;

    public function kind(): ClashKind
    {
        return ClashKind::RootDoubled;
    }

    public function missing(Heard $heard): ?string
    {
        return $heard->part(Instrument::Bass) === null ? 'nobody plays the bass' : null;
    }

    public function find(Heard $heard): array
    {
        $bass = $heard->part(Instrument::Bass);
        if ($bass === null) {
            return [];
        }
        $clashes = [];
        foreach ($heard->chordal() as $part) {
            foreach ($heard->visitsWhere(fn (int $bar): bool => $this->doubled($heard, $part, $bass, $bar) !== []) as $bars) {
                $ticks = $this->doubled($heard, $part, $bass, $bars[0]);
                $clashes[] = new Clash(
                    $this->kind(),
                    sprintf(
                        '%s doubles the bass on the root of %s below D3, from %s.',
                        ucfirst(Heard::name($part)),
                        $heard->chordAt($ticks[0])?->text() ?? 'the chord',
                        $heard->barWords($bars[0]),
                    ),
                    self::SEVERITY,
                    [$part->id, $bass->id],
                    $bars,
                    $ticks,
                    [$this->mend($heard, $part, $bars[0])],
                );
            }
        }

        return $clashes;
    }

    private function mend(Heard $heard, BandPart $part, int $bar): Mend
    {
        $register = $part->register();

        return $register === null
            ? GuitarGrips::mend(
                $heard,
                $part,
                $bar,
                'Leave the root to the bass',
                static fn (VoicingLine $line): VoicingLine => $line->with(pins: [], company: Company::WithBass),
            )
            : new Mend(
                'Move '.Heard::name($part).' up an octave',
                static fn (): Breakdown => $heard->with($part->with(register: $register->raised(self::UP))),
            );
    }

    /** @return list<int> ticks */
    private function doubled(Heard $heard, BandPart $part, BandPart $bass, int $bar): array
    {
        $roots = [];
        foreach ($heard->in($bass, $bar) as $event) {
            if ($this->isRoot($heard, $event)) {
                $roots[] = $event->tick;
            }
        }

        return array_values(array_unique(array_map(static fn (Event $event): int => $event->tick, array_filter(
            $heard->in($part, $bar),
            fn (Event $event): bool => $event->pitch !== null && $event->pitch < self::BELOW && in_array($event->tick, $roots, true)
                && $this->isRoot($heard, $event),
        ))));
    }

    private function isRoot(Heard $heard, Event $event): bool
    {
        return $event->pitch !== null && $heard->chordAt($event->tick)?->rootPitchClass() === $event->pitch % 12;
    }
}
