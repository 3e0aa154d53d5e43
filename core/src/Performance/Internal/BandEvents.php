<?php

declare(strict_types=1);

namespace Gravik\Performance\Internal;

use Gravik\Band\BandNote;
use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Band\PartBar;
use Gravik\Band\Player;
use Gravik\Band\Timbre;
use Gravik\Band\Way;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Playing;
use Gravik\Chart\Course;
use Gravik\Performance\Event;
use Gravik\Performance\EventKind;
use Gravik\Time\TimeMap;

/**
 * What a player of the band plays, in seconds: with the part's level, its place against the beat, and the feel unless it
 * stays straight.
 *
 * @internal used by Performer
 */
final readonly class BandEvents
{
    /** A drum sounds as long as it sounds. */
    private const DRUM_SECONDS = 0.2;

    /** A bass note leaves a little air before the next. */
    private const BASS_SHARE = 0.94;

    private const SHORTEST_SECONDS = 0.05;

    /** @return list<Event> */
    public static function of(Player $player, Breakdown $breakdown, Course $course, TimeMap $map, Cues $cues): array
    {
        $part = $player->part();
        $playings = $breakdown->playings($course, $part->id);
        $feel = $part->straight ? $map->straight() : $map;
        $time = static fn (int $tick, int $division): float => max(0.0, $feel->secondsAt($tick, $division) + $part->offsetMs / 1000);

        $gains = new Gains($course, $map, array_map(static fn (Playing $playing): int => $playing->dynamic, $playings));
        $bars = array_map(
            static fn (Playing $playing, int $bar): PartBar => new PartBar(
                $playing->role,
                $playing->groove,
                $cues->hits[$bar] ?? [],
                $cues->tune[$bar] ?? [],
                $cues->styles[$bar],
            ),
            $playings,
            array_keys($playings),
        );

        return array_map(static function (BandNote $note) use ($part, $time, $gains): Event {
            $from = $time($note->tick, $note->division);
            $held = static fn (): float => $time($note->until, $note->division) - $from;
            $seconds = match ($part->instrument) {
                Instrument::Drums => self::DRUM_SECONDS,
                Instrument::Bass => max(self::SHORTEST_SECONDS, self::BASS_SHARE * $held()),
                Instrument::Keys, Instrument::Horns, Instrument::Lead, Instrument::Guitar, Instrument::SecondGuitar
                    => max(self::SHORTEST_SECONDS, $held()),
            };

            return new Event(
                $part,
                $from,
                $seconds,
                $note->pitch,
                min(1.0, $note->loudness * $part->level * $gains->at($note->tick)),
                self::kind($part),
                tick: $note->tick,
            );
        }, (new FigureNotes($breakdown, $course, $part))->over($player->play($course, $bars)));
    }
    private static function kind(BandPart $part): EventKind
    {
        return match ($part->instrument) {
            Instrument::Drums => EventKind::Drum,
            Instrument::Bass => EventKind::Bass,
            Instrument::Horns => EventKind::Horn,
            Instrument::Guitar, Instrument::SecondGuitar => EventKind::Ring,
            Instrument::Keys => match ($part->timbre) {
                null, Timbre::Piano => EventKind::Keys,
                Timbre::Organ => EventKind::Organ,
                Timbre::Accordion => EventKind::Accordion,
            },
            Instrument::Lead => match ($part->way()) {
                Way::Plucked => EventKind::Ring,
                Way::Blown => EventKind::Horn,
                Way::Bowed => EventKind::Bow,
                default => EventKind::Voice,
            },
        };
    }
}
