<?php

declare(strict_types=1);

namespace Gravik\Ensemble;

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Band\Way;
use Gravik\Performance\Event;

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

    /** Notes of a chord share what a stroke gives: a strum of six strings is no six times as loud. */
    private const VOICES = [
        'ring' => 3.0, 'short' => 3.0, 'palm-mute' => 4.0, 'chuck' => 8.0, 'ghost' => 8.0,
        'bass' => 1.0, 'drum' => 1.5, 'keys' => 2.5, 'organ' => 2.5, 'accordion' => 2.5, 'horn' => 2.5,
        'voice' => 1.0, 'bow' => 1.0,
    ];

    /** @param list<Sounding> $parts that sound at all */
    private function __construct(public Way $kind, public array $parts) {}

    public static function of(Heard $heard): self
    {
        $lead = $heard->part(Instrument::Lead);
        $kind = $lead?->way() ?? Way::Sung;
        $soloist = self::SOLOIST * ($lead->level ?? 1.0);
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

    /** @return ?float mean over its strokes of the power of all notes of one; null where it is silent */
    private static function power(Heard $heard, BandPart $part): ?float
    {
        $strokes = [];
        foreach ($heard->timeline->events as $event) {
            if ($event->part->id === $part->id) {
                $strokes[$event->tick] = ($strokes[$event->tick] ?? 0.0) + self::powerOf($event);
            }
        }

        return $strokes === [] ? null : array_sum($strokes) / count($strokes);
    }

    private static function powerOf(Event $event): float
    {
        return $event->velocity ** 2 / self::VOICES[$event->kind->value];
    }
}
