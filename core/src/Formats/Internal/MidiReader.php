<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal;

use Gravik\Formats\Failure\MidiCutShort;
use Gravik\Formats\Failure\MidiEventUnknown;
use Gravik\Formats\Failure\MidiFormatUnknown;
use Gravik\Formats\Failure\MidiInFilmTime;
use Gravik\Formats\Failure\MidiOfManySongs;
use Gravik\Formats\Failure\MidiTempoNotPossible;
use Gravik\Formats\Failure\MidiWithoutBeats;
use Gravik\Formats\Failure\NotMidi;
use Gravik\Formats\MidiNotReadable;

/**
 * Reads the notes, tempos, markers and meter of a MIDI file of format 0 or 1.
 *
 * @internal
 *
 * @phpstan-type Note array{tick: int, until: int, pitch: int, velocity: int, channel: int, track: int}
 */
final class MidiReader
{
    /** @var list<Note> */
    public array $notes = [];

    /** @var array<int, int> tick => microseconds a quarter note */
    public array $tempos = [];

    /** @var list<array{int, string}> tick and text of each marker */
    public array $markers = [];

    /** @var ?array{int, int} pulses and pulse value of the first time signature */
    public ?array $meter = null;

    public int $ticksPerQuarter = 0;

    private int $at = 0;

    private int $track = 0;

    private int $end = 0;

    /** @throws MidiNotReadable */
    public function __construct(private readonly string $bytes)
    {
        if (! str_starts_with($bytes, 'MThd') || strlen($bytes) < 14) {
            throw str_starts_with($bytes, 'MThd') ? new MidiCutShort(1) : new NotMidi();
        }
        /** @var array{length: int, format: int, tracks: int, division: int} $header */
        $header = unpack('Nlength/nformat/ntracks/ndivision', $bytes, 4);
        match (true) {
            $header['format'] === 2 => throw new MidiOfManySongs(),
            $header['format'] > 2 => throw new MidiFormatUnknown($header['format']),
            $header['division'] >= 0x8000 => throw new MidiInFilmTime(),
            $header['division'] === 0 => throw new MidiWithoutBeats(),
            default => null,
        };
        $this->ticksPerQuarter = $header['division'];
        $this->at = 8 + $header['length'];
        while ($this->track < $header['tracks']) {
            $this->chunk();
        }
        ksort($this->tempos);
        usort($this->notes, static fn (array $a, array $b): int => [$a['tick'], $a['pitch']] <=> [$b['tick'], $b['pitch']]);
    }

    /** Chunks of other kinds are passed over, as the format asks. */
    private function chunk(): void
    {
        $this->end = strlen($this->bytes);
        $kind = $this->take(4);
        /** @var array{1: int} $length */
        $length = unpack('N', $this->take(4));
        $this->end = $this->at + $length[1];
        if ($this->end > strlen($this->bytes)) {
            throw new MidiCutShort($this->track + 1);
        }
        if ($kind === 'MTrk') {
            $this->track++;
            $this->events();
        }
        $this->at = $this->end;
    }

    private function events(): void
    {
        $tick = 0;
        $status = 0;
        /** @var array<int, list<int>> $sounding channel and pitch => where in $notes those lie that still sound */
        $sounding = [];
        while ($this->at < $this->end) {
            $tick += $this->variable();
            $first = $this->byte();
            if ($first === 0xFF) {
                $this->meta($tick);

                continue;
            }
            if ($first === 0xF0 || $first === 0xF7) {
                $this->take($this->variable());

                continue;
            }
            if ($first >= 0x80) {
                $status = $first;
                $data = $this->byte();
            } else {
                $data = $first;
            }
            if ($status < 0x80 || $status >= 0xF0 || $data >= 0x80) {
                throw new MidiEventUnknown($this->track);
            }
            $kind = $status & 0xF0;
            $value = $kind === 0xC0 || $kind === 0xD0 ? 0 : $this->byte();
            $voice = ($status & 0x0F) << 7 | $data;
            if ($kind === 0x90 && $value > 0) {
                $sounding[$voice][] = count($this->notes);
                $this->notes[] = [
                    'tick' => $tick,
                    'until' => $tick,
                    'pitch' => $data,
                    'velocity' => $value,
                    'channel' => $status & 0x0F,
                    'track' => $this->track,
                ];
            } elseif (($kind === 0x80 || $kind === 0x90) && isset($sounding[$voice])) {
                $note = array_shift($sounding[$voice]);
                if ($note !== null) {
                    $this->notes[$note]['until'] = $tick;
                }
            }
        }
    }

    private function meta(int $tick): void
    {
        $kind = $this->byte();
        $data = $this->take($this->variable());
        if ($kind === 0x51 && strlen($data) === 3) {
            $microseconds = (int) hexdec(bin2hex($data));
            $this->tempos[$tick] = $microseconds > 0 ? $microseconds : throw new MidiTempoNotPossible();
        }
        if ($kind === 0x06) {
            $this->markers[] = [$tick, mb_scrub(substr($data, 0, 200))];
        }
        if ($kind === 0x58 && strlen($data) >= 2) {
            $this->meter ??= [ord($data[0]), 2 ** min(6, ord($data[1]))];
        }
    }

    private function variable(): int
    {
        $value = 0;
        for ($bytes = 0; $bytes < 4; $bytes++) {
            $byte = $this->byte();
            $value = $value << 7 | ($byte & 0x7F);
            if ($byte < 0x80) {
                return $value;
            }
        }

        throw new MidiEventUnknown($this->track);
    }

    private function byte(): int
    {
        return ord($this->take(1));
    }

    private function take(int $count): string
    {
        if ($this->at + $count > $this->end) {
            throw new MidiCutShort(max(1, $this->track));
        }
        $taken = substr($this->bytes, $this->at, $count);
        $this->at += $count;

        return $taken;
    }
}
