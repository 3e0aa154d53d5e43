<?php

declare(strict_types=1);

namespace Gravik\Formats;

use Gravik\Band\BandNote;
use Gravik\Band\Tune;
use Gravik\Formats\Failure\MidiInAnotherMeter;
use Gravik\Formats\Failure\MidiTrackUnknown;
use Gravik\Formats\Failure\MidiWithoutNotes;
use Gravik\Formats\Internal\MidiReader;
use Gravik\Time\Meter;

/**
 * A track of a MIDI file as a tune over the form: bar 1 of the file is bar 1 of a pass, and every note begins at the nearest
 * place of a beat's halves, thirds, quarters or sixths, coarser ones first where they are as near. In a song that swings, what
 * is played at the last third of a beat is its swung half.
 *
 * @phpstan-import-type Note from MidiReader
 */
final readonly class MidiTune
{
    private const QUARTER = 960;

    private const DRUMS = 9;

    /** A note that ends so near to a place, in beats, ends there. */
    private const AT_A_PLACE = 0.04;

    /** By how much of a beat a finer division must lie nearer. */
    private const FINER = [1 => 0.0, 2 => 0.02, 3 => 0.035, 4 => 0.04, 6 => 0.055];

    /** @param array<int, array{notes: int, lowest: int, highest: int}> $tracks by their number in the file, from 1 */
    private function __construct(public array $tracks, public int $track, public Tune $tune) {}

    /**
     * @param ?int $track number of it, from 1; null for the one that is most a melody: few notes at once, then the highest
     *
     * @throws MidiNotReadable where the file is none, in another meter, or has no such track
     */
    public static function read(string $bytes, string $name, Meter $meter, bool $swings, ?int $track = null): self
    {
        $file = new MidiReader($bytes);
        $stated = $file->meter === null ? $meter->text() : implode('/', $file->meter);
        if ($stated !== $meter->text()) {
            throw new MidiInAnotherMeter($stated, $meter->text());
        }
        $byTrack = [];
        foreach ($file->notes as $note) {
            if ($note['channel'] !== self::DRUMS) {
                $byTrack[$note['track']][] = $note;
            }
        }
        if ($byTrack === []) {
            throw new MidiWithoutNotes();
        }
        $track ??= self::melody($byTrack);
        if (! isset($byTrack[$track])) {
            throw new MidiTrackUnknown($track, array_keys($byTrack));
        }

        return new self(
            array_map(static fn (array $notes): array => [
                'notes' => count($notes),
                'lowest' => min(array_column($notes, 'pitch')),
                'highest' => max(array_column($notes, 'pitch')),
            ], $byTrack),
            $track,
            new Tune(mb_substr($name, 0, Tune::LONGEST_NAME), self::notes($byTrack[$track], $file->ticksPerQuarter, $meter, $swings)),
        );
    }

    /** @param non-empty-array<int, non-empty-list<Note>> $byTrack */
    private static function melody(array $byTrack): int
    {
        $ranked = array_map(static function (array $notes): array {
            $atOnce = count($notes) / count(array_unique(array_column($notes, 'tick')));

            return [-round($atOnce, 1), array_sum(array_column($notes, 'pitch')) / count($notes)];
        }, $byTrack);
        arsort($ranked);

        return array_key_first($ranked);
    }

    /**
     * @param non-empty-list<Note> $played
     *
     * @return list<BandNote>
     */
    private static function notes(array $played, int $ticksPerQuarter, Meter $meter, bool $swings): array
    {
        $notes = [];
        foreach ($played as $note) {
            [$tick, $division] = self::placed($note['tick'] * self::QUARTER / $ticksPerQuarter, $meter, $swings);
            $ends = $note['until'] * self::QUARTER / $ticksPerQuarter;
            // An end is swung as its note is: thirds are not.
            [$until] = self::placed($ends, $meter, $swings && $division % 3 !== 0);
            $held = abs($until - $ends) <= self::AT_A_PLACE * $meter->beatTicks() || $swings ? $until : (int) round($ends);
            $notes[] = new BandNote(
                $tick,
                $held > $tick ? $held : $tick + max(1, (int) round($ends - $note['tick'] * self::QUARTER / $ticksPerQuarter)),
                $division,
                $note['pitch'],
                $note['velocity'] / 127,
            );
        }
        usort($notes, static fn (BandNote $a, BandNote $b): int => [$a->tick, $a->pitch] <=> [$b->tick, $b->pitch]);

        return $notes;
    }

    /** @return array{int, int} straight tick, and the division that it belongs to */
    private static function placed(float $ticks, Meter $meter, bool $swings): array
    {
        $beat = $meter->beatTicks();
        $number = (int) floor($ticks / $beat);
        $within = $ticks / $beat - $number;
        $least = INF;
        $place = [0, 1];
        foreach (self::FINER as $division => $finer) {
            $slot = (int) round($within * $division);
            $cost = abs($within - $slot / $division) + $finer;
            if ($cost < $least) {
                [$least, $place] = [$cost, [$slot, $division]];
            }
        }
        [$slot, $division] = $swings && $place === [2, 3] ? [1, 2] : $place;

        return [$number * $beat + intdiv($slot * $beat, $division), $slot === $division ? 1 : $division];
    }
}
