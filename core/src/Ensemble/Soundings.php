<?php

declare(strict_types=1);

namespace Gravik\Ensemble;

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Band\Way;
use Gravik\Performance\EventKind;

/**
 * Every part plumbed below the soloist: the mean power of its strokes, notes struck together added, against a soloist who
 * plays single notes firmly. Comping hangs further below a plucked soloist than below a blown or bowed one (rules of thumb).
 */
final readonly class Soundings
{
    /** kind of soloist => least and most dB below it */
    private const ASKED = ['plucked' => [6.0, 10.0], 'sung' => [5.0, 9.0], 'blown' => [4.0, 8.0], 'bowed' => [4.0, 8.0]];

    /** How hard a soloist plays, before the part's own level. */
    private const SOLOIST = 0.9;

    /** What a soloist sounds like. */
    private const SOLO = ['plucked' => EventKind::Ring, 'sung' => EventKind::Voice, 'blown' => EventKind::Horn, 'bowed' => EventKind::Bow];

    /** @param list<Sounding> $parts that sound at all */
    private function __construct(public Way $kind, public array $parts) {}

    public static function of(Heard $heard): self
    {
        $lead = $heard->part(Instrument::Lead);
        $kind = $lead?->way() ?? Way::Sung;
        $soloist = self::SOLOIST * ($lead->level ?? 1.0) * NoteLoudness::amplitudeOf(self::SOLO[$kind->value] ?? EventKind::Voice);
        $soundings = [];
        $others = array_filter($heard->breakdown->parts, static fn (BandPart $part): bool => $part->instrument !== Instrument::Lead);
        foreach ($others as $part) {
            $power = self::power($heard, $part);
            if ($power !== null && $soloist > 0) {
                $soundings[] = new Sounding(
                    $part,
                    10 * log10($soloist ** 2 / max(1e-9, $power)),
                    self::ASKED[$kind->value] ?? self::ASKED['sung'],
                );
            }
        }

        return new self($kind, $soundings);
    }

    /** @return ?float mean power while it sounds, as the ear takes it in blocks of 0.4 s; null where it is silent */
    private static function power(Heard $heard, BandPart $part): ?float
    {
        $energy = $seconds = 0.0;
        $until = -INF;
        foreach ($heard->timeline->events as $event) {
            if ($event->part->id === $part->id) {
                $energy += NoteLoudness::energyOf($event);
                $ends = $event->t + max(NoteLoudness::BLOCK_SECONDS, $event->dur);
                $seconds += max(0.0, $ends - max($until, $event->t));
                $until = max($until, $ends);
            }
        }

        return $seconds > 0 ? $energy / $seconds : null;
    }
}
