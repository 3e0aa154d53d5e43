<?php

declare(strict_types=1);

namespace Gravik\Formats;

use Gravik\Band\BandPart;
use Gravik\Breakdown\Breakdown;
use Gravik\Chart\Visit;
use Gravik\Formats\Internal\MidiTrack;
use Gravik\Harmony\Mode;
use Gravik\Performance\Event;
use Gravik\Performance\Timeline;
use Gravik\Time\Stretch;

/**
 * A performed breakdown as a type-1 MIDI file: tempo, meters, keys and chord markers in the first track, then one track a
 * part. Swing is in the ticks. MIDI has no damped strokes: a chuck is written as a very short note of each of its
 * strings on a second channel with a muted guitar's programme.
 */
final readonly class MidiFile
{
    private const TICKS_PER_QUARTER = 960;

    /** Many readers take MIDI's texts for Latin letters, so chord names keep to those: Bb7, F#m7b5. */
    private const PLAIN_SIGNS = ['♭' => 'b', '♯' => '#', '𝄫' => 'bb', '𝄪' => '##'];

    /** part => [track name, channel from 0, programme from 0] */
    private const TRACKS = [
        'guitar' => ['Guitar', 0, 26],
        'second-guitar' => ['Second guitar', 6, 27],
        'bass' => ['Bass', 1, 32],
        'drums' => ['Drums', 9, 0],
        'keys' => ['Keys', 3, 4],
        'horns' => ['Horns', 4, 61],
        'lead' => ['Lead', 5, 71],
    ];

    private const CHUCK_CHANNEL = 2;

    private const MUTED_GUITAR = 28;

    /** What a MIDI file cannot hold, in words for whoever exports. */
    public const NOT_KEPT = [
        'fingerings and pinned grips',
        'stroke directions',
        'the typed chord line (chords are kept as markers)',
        'chucks as such: they are very short notes on a channel of their own',
    ];

    public function write(Breakdown $breakdown, Timeline $timeline): string
    {
        $tracks = [$this->conductor($breakdown, $timeline)];
        foreach ($breakdown->parts as $part) {
            $tracks[] = $this->part($part, $breakdown, $timeline);
        }
        $header = 'MThd'.pack('Nnnn', 6, 1, count($tracks), self::TICKS_PER_QUARTER);

        return $header.implode('', array_map(static fn (MidiTrack $track): string => $track->bytes(), $tracks));
    }

    private function conductor(Breakdown $breakdown, Timeline $timeline): MidiTrack
    {
        $track = new MidiTrack();
        $track->meta(0, 0x03, $breakdown->title);
        foreach ($timeline->map->stretches as $stretch) {
            $this->stretch($track, $stretch);
        }
        $this->keys($track, $breakdown, $timeline);
        foreach ($timeline->course->chords as $chord) {
            $track->meta($chord->tick, 0x06, strtr($chord->chord->text(), self::PLAIN_SIGNS));
        }
        $track->end($timeline->map->ticks);

        return $track;
    }

    private function stretch(MidiTrack $track, Stretch $stretch): void
    {
        $meter = $stretch->ruler->meter;
        $track->meta(
            $stretch->tick,
            0x58,
            pack('CCCC', $meter->pulses, (int) log($meter->pulseValue, 2), (int) (24 * $meter->quartersPerBeat()), 8),
        );
        $quarters = $stretch->ruler->tempo->bpm * $meter->quartersPerBeat();
        $track->meta($stretch->tick, 0x51, substr(pack('N', (int) round(60_000_000 / $quarters)), 1));
    }

    private function keys(MidiTrack $track, Breakdown $breakdown, Timeline $timeline): void
    {
        $before = null;
        foreach (array_column(
            array_map(static fn (Visit $visit): array => [$visit->tick, $visit->setting->key], $timeline->course->visits),
            1,
            0,
        ) + [0 => $breakdown->start->key] as $tick => $key) {
            if ($before?->text() !== $key->text()) {
                $track->meta($tick, 0x59, pack('cC', $key->signature(), $key->mode === Mode::Minor ? 1 : 0));
            }
            $before = $key;
        }
    }

    private function part(BandPart $part, Breakdown $breakdown, Timeline $timeline): MidiTrack
    {
        [$name, $channel, $programme] = self::TRACKS[$part->instrument->value];
        $track = new MidiTrack();
        $track->meta(0, 0x03, $name);
        $track->programme($channel, $programme);
        if ($part->instrument->isGuitar()) {
            $track->programme(self::CHUCK_CHANNEL, self::MUTED_GUITAR);
        }
        $open = $breakdown->neck->openMidi();
        foreach ($timeline->events as $event) {
            if ($event->part->id === $part->id) {
                $pitch = $event->pitch ?? $this->dampedPitch($event, $open);
                $track->note(
                    $event->pitch === null ? self::CHUCK_CHANNEL : $channel,
                    max(0, min(127, $pitch)),
                    (int) max(1, min(127, round(127 * $event->velocity))),
                    (int) round($timeline->map->ticksAt($event->t)),
                    (int) round($timeline->map->ticksAt($event->t + $event->dur)),
                );
            }
        }
        $track->end($timeline->map->ticks);

        return $track;
    }

    /** @param list<int> $open */
    private function dampedPitch(Event $event, array $open): int
    {
        return ($event->string === null ? 40 : $open[count($open) - $event->string]) + ($event->fret ?? 0);
    }
}
