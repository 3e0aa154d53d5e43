<?php

declare(strict_types=1);

namespace Gravik\Formats;

use Gravik\Performance\Event;
use Gravik\Performance\Timeline;

/** Every event of a performance as a table: one row each, in order of time. */
final readonly class EventsCsv
{
    private const COLUMNS = ['part', 'seconds', 'length_s', 'bar', 'tick', 'midi', 'velocity', 'kind', 'string', 'fret', 'direction'];

    /** What such a table cannot hold, in words. */
    public const NOT_KEPT = ['chords, grips and fingers', 'what strokes are made of: only what sounds', 'the form, the lesson, and marks'];

    public static function write(Timeline $timeline): string
    {
        $rows = array_map(static fn (Event $event): array => [
            $event->part->id,
            number_format($event->t, 6, '.', ''),
            number_format($event->dur, 6, '.', ''),
            (string) ($timeline->map->barAt($event->tick) + 1),
            (string) $event->tick,
            (string) $event->pitch,
            number_format($event->velocity, 4, '.', ''),
            $event->kind->value,
            (string) $event->string,
            (string) $event->fret,
            $event->direction->value ?? '',
        ], $timeline->events);

        // Ids have letters, figures and signs of their own only: nothing here needs quotes.
        return implode("\r\n", array_map(static fn (array $row): string => implode(',', $row), [self::COLUMNS, ...$rows]))."\r\n";
    }
}
