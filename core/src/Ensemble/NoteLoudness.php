<?php

declare(strict_types=1);

namespace Gravik\Ensemble;

use Gravik\Performance\Event;
use Gravik\Performance\EventKind;

/**
 * How loud single notes are: measured on what sounds here (ITU-R BS.1770), so that parts can be weighed against one another
 * without rendering them. Whole parts of every genre word come out within 4.5 dB of what their rendered sound measures.
 */
final readonly class NoteLoudness
{
    /** Loudness is measured in blocks of so long. */
    public const BLOCK_SECONDS = 0.4;

    /** A plucked string gives so much of a block's loudness in its beginning, which is over this fast. */
    private const PLUCK = 0.45;

    private const PLUCK_SECONDS = 0.04;

    /** A half step higher a string is softer by so many dB. */
    private const SOFTER = 0.26;

    private const A3 = 57;

    private const DRUMS = [36 => -15.4, 37 => -27.9, 38 => -20.6, 42 => -28.0, 51 => -25.9, 70 => -30.1];

    private const ANY_DRUM = -23.7;

    /** @return float LUFS times seconds, as a power */
    public static function energyOf(Event $event): float
    {
        return self::BLOCK_SECONDS * self::held($event) * $event->velocity ** 2 * 10 ** (self::lufs($event) / 10);
    }

    /** @return float of one A3 of a kind, played as hard as it goes */
    public static function amplitudeOf(EventKind $kind): float
    {
        return 10 ** (self::kind($kind)[0] / 20);
    }

    private static function lufs(Event $event): float
    {
        return match ($event->kind) {
            EventKind::Drum => self::DRUMS[$event->pitch ?? 0] ?? self::ANY_DRUM,
            EventKind::Ring, EventKind::Short, EventKind::Ghost, EventKind::PalmMute
                => self::kind($event->kind)[0] - self::SOFTER * (($event->pitch ?? self::A3) - self::A3),
            EventKind::Chuck, EventKind::Bass, EventKind::Keys, EventKind::Organ, EventKind::Accordion, EventKind::Horn,
            EventKind::Voice, EventKind::Bow => self::kind($event->kind)[0],
        };
    }

    /** How much of a block's loudness a note gives until it is let go. */
    private static function held(Event $event): float
    {
        [, $lost] = self::kind($event->kind);
        $share = static fn (float $seconds): float => $lost > 0.0 ? 1 - 10 ** (-$lost * $seconds / 10) : $seconds;
        $sustained = static fn (): float => $share($event->dur) / $share(self::BLOCK_SECONDS);

        return match ($event->kind) {
            EventKind::Drum, EventKind::Chuck => 1.0,
            EventKind::Ring, EventKind::Short, EventKind::Ghost, EventKind::PalmMute
                => self::PLUCK * (1 - exp(-$event->dur / self::PLUCK_SECONDS)) + (1 - self::PLUCK) * $sustained(),
            EventKind::Bass, EventKind::Keys, EventKind::Organ, EventKind::Accordion, EventKind::Horn, EventKind::Voice, EventKind::Bow
                => $sustained(),
        };
    }

    /** @return array{float, float} LUFS of one A3 over a block, and dB that it loses in a second */
    private static function kind(EventKind $kind): array
    {
        return match ($kind) {
            EventKind::Ring, EventKind::Short, EventKind::Ghost => [-21.0, 9.0],
            EventKind::PalmMute => [-25.0, 35.0],
            EventKind::Chuck => [-28.0, 0.0],
            EventKind::Bass => [-18.0, 6.0],
            EventKind::Drum => [self::ANY_DRUM, 0.0],
            EventKind::Keys => [-17.4, 8.0],
            EventKind::Organ => [-17.6, 0.0],
            EventKind::Accordion, EventKind::Horn => [-20.3, 0.0],
            EventKind::Voice => [-16.1, 0.0],
            EventKind::Bow => [-18.1, 0.0],
        };
    }
}
