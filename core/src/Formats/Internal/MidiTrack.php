<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal;

/**
 * One MTrk chunk: events are gathered in any order and written with delta times.
 *
 * @internal
 */
final class MidiTrack
{
    /** @var array<int, array{int, int, string}> tick, rank at that tick (note-offs before note-ons), bytes */
    private array $events = [];

    /** @var array<string, int> channel:pitch => where in $events that note last ends */
    private array $sounding = [];

    private int $end = 0;

    public function meta(int $tick, int $type, string $data): void
    {
        $this->events[] = [$tick, 1, "\xFF".chr($type).self::variable(strlen($data)).$data];
    }

    public function programme(int $channel, int $programme): void
    {
        $this->events[] = [0, 1, chr(0xC0 | $channel).chr($programme)];
    }

    /** A note that meets the same one still sounding ends it first. Notes come in order of time. */
    public function note(int $channel, int $pitch, int $velocity, int $from, int $to): void
    {
        $voice = $channel.':'.$pitch;
        $to = max($from + 1, $to);
        $before = $this->sounding[$voice] ?? null;
        if ($before !== null && $this->events[$before][0] > $from) {
            $this->events[$before][0] = $from;
        }
        $this->events[] = [$from, 2, chr(0x90 | $channel).chr($pitch).chr($velocity)];
        $this->sounding[$voice] = count($this->events);
        $this->events[] = [$to, 0, chr(0x80 | $channel).chr($pitch)."\x40"];
    }

    public function end(int $tick): void
    {
        $this->end = $tick;
    }

    public function bytes(): string
    {
        $events = $this->events;
        usort($events, static fn (array $a, array $b): int => [$a[0], $a[1]] <=> [$b[0], $b[1]]);
        $data = '';
        $at = 0;
        foreach ($events as [$tick, , $bytes]) {
            $data .= self::variable($tick - $at).$bytes;
            $at = $tick;
        }
        $data .= self::variable(max(0, $this->end - $at))."\xFF\x2F\x00";

        return 'MTrk'.pack('N', strlen($data)).$data;
    }

    private static function variable(int $value): string
    {
        $bytes = chr($value & 0x7F);
        while (($value >>= 7) > 0) {
            $bytes = chr(0x80 | ($value & 0x7F)).$bytes;
        }

        return $bytes;
    }
}
