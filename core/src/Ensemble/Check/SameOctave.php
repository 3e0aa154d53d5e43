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
use Gravik\Performance\Event;

/** Guitar and keys strike at once, and the middles of their chords lie less than a fourth apart. */
final readonly class SameOctave implements Check
{
    private const SEVERITY = 0.3;

    private const APART = 5.0;

    public function kind(): ClashKind
    {
        return ClashKind::SameOctave;
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
        $close = fn (int $bar): bool => $heard->role($keys, $bar) !== Role::Passive && $this->apart($heard, $guitar, $keys, $bar) !== null;

        return array_map(function (array $bars) use ($heard, $guitar, $keys): Clash {
            $register = $keys->register();
            $up = $register !== null && $register->high <= 84;

            return new Clash(
                $this->kind(),
                sprintf(
                    'Guitar and keys lie in one octave from %s: their middles are %.0f half steps apart.',
                    $heard->barWords($bars[0]),
                    $this->apart($heard, $guitar, $keys, $bars[0]) ?? 0.0,
                ),
                self::SEVERITY,
                [$guitar->id, $keys->id],
                $bars,
                [],
                $register === null ? [] : [new Mend(
                    $up ? 'Move the keys up an octave' : 'Move the keys down an octave',
                    static fn (): Breakdown => $heard->with($keys->with(register: $register->raised($up ? 12 : -12))),
                )],
            );
        }, $heard->visitsWhere($close));
    }

    /** @return ?float half steps between the middles; null where they are far enough apart, or one does not play */
    private function apart(Heard $heard, BandPart $one, BandPart $other, int $bar): ?float
    {
        [$a, $b] = [self::middle($heard->in($one, $bar)), self::middle($heard->in($other, $bar))];

        return $a === null || $b === null || abs($a - $b) >= self::APART ? null : abs($a - $b);
    }

    /** @param list<Event> $events */
    private static function middle(array $events): ?float
    {
        $pitches = array_filter(
            array_map(static fn (Event $event): ?int => $event->pitch, $events),
            static fn (?int $pitch): bool => $pitch !== null,
        );

        return $pitches === [] ? null : array_sum($pitches) / count($pitches);
    }
}
