<?php

declare(strict_types=1);

namespace Gravik\Formats;

use Gravik\Formats\Failure\MidiWithoutNotes;
use Gravik\Formats\Internal\MidiReader;
use Gravik\Listening\Hearing\NotesHeard;
use Gravik\Listening\PlayedOnset;
use Gravik\Strokes\Direction;
use Gravik\Time\Meter;

/**
 * The strokes of a MIDI file: notes of one track that begin within one sweep of the pick are one stroke; rising through
 * the strings it is a down stroke, falling an up stroke.
 *
 * @phpstan-import-type Note from MidiReader
 */
final readonly class MidiTake
{
    private const SWEEP_SECONDS = 0.05;

    /** A stroke whose notes all end so soon is dead. */
    private const DEAD_SECONDS = 0.07;

    private const DRUMS = 9;

    private const USUAL_TEMPO = 500_000;

    /**
     * @param list<PlayedOnset> $strokes in order of time, seconds from the start of the file
     * @param NotesHeard        $notes   that sound
     * @param ?Meter            $meter   where the file states one that is known here
     */
    private function __construct(public array $strokes, public NotesHeard $notes, public ?Meter $meter) {}

    /** @throws MidiNotReadable */
    public static function read(string $bytes): self
    {
        $file = new MidiReader($bytes);
        $notes = self::guitar($file->notes);
        if ($notes === []) {
            throw new MidiWithoutNotes();
        }
        $groups = self::grouped($notes, $file);
        $strokes = array_map(self::stroke(...), $groups);
        usort($strokes, static fn (PlayedOnset $a, PlayedOnset $b): int => $a->t <=> $b->t);
        $loudness = array_map(static fn (PlayedOnset $tap): float => (float) $tap->levelDb, $strokes);
        sort($loudness);
        $usual = $loudness[intdiv(count($loudness), 2)];
        $meter = $file->meter === null ? '' : implode('/', $file->meter);

        return new self(
            array_map(
                static fn (PlayedOnset $tap): PlayedOnset => new PlayedOnset(
                    $tap->t,
                    $tap->direction,
                    $tap->muted,
                    (float) $tap->levelDb - $usual,
                    $tap->seconds,
                ),
                $strokes,
            ),
            NotesHeard::sounding(array_map(static fn (array $note): array => [
                't' => $note['from'],
                'seconds' => max(0.0, $note['until'] - $note['from']),
                'midi' => $note['pitch'],
            ], array_merge([], ...$groups))),
            in_array($meter, Meter::KNOWN, true) ? Meter::parse($meter) : null,
        );
    }

    /**
     * The track that plays most chords; a file of drums alone is taken as it is.
     *
     * @param list<Note> $notes in order of time
     *
     * @return list<Note>
     */
    private static function guitar(array $notes): array
    {
        $pitched = array_values(array_filter($notes, static fn (array $note): bool => $note['channel'] !== self::DRUMS));
        $tracks = [];
        foreach ($pitched === [] ? $notes : $pitched as $note) {
            $tracks[$note['track']][] = $note;
        }
        $best = [];
        $most = [-1, -1];
        foreach ($tracks as $track) {
            $chords = count($track) - count(array_unique(array_column($track, 'tick')));
            if ([$chords, count($track)] > $most) {
                [$most, $best] = [[$chords, count($track)], $track];
            }
        }

        return $best;
    }

    /**
     * @param list<Note> $notes in order of time
     *
     * @return list<non-empty-list<array{from: float, until: float, pitch: int, velocity: int}>>
     */
    private static function grouped(array $notes, MidiReader $file): array
    {
        $seconds = self::clock($file);
        $groups = [];
        foreach ($notes as $note) {
            $sounds = [
                'from' => $seconds($note['tick']),
                'until' => $seconds($note['until']),
                'pitch' => $note['pitch'],
                'velocity' => $note['velocity'],
            ];
            $last = count($groups) - 1;
            if ($last >= 0 && $sounds['from'] - $groups[$last][0]['from'] <= self::SWEEP_SECONDS && ! in_array(
                $note['pitch'],
                array_column($groups[$last], 'pitch'),
                true,
            )) {
                $groups[$last][] = $sounds;
            } else {
                $groups[] = [$sounds];
            }
        }

        return $groups;
    }

    /** @return \Closure(int): float */
    private static function clock(MidiReader $file): \Closure
    {
        return static function (int $tick) use ($file): float {
            $seconds = 0.0;
            $from = 0;
            $tempo = self::USUAL_TEMPO;
            foreach ($file->tempos as $at => $next) {
                if ($at >= $tick) {
                    break;
                }
                $seconds += ($at - $from) * $tempo / $file->ticksPerQuarter / 1e6;
                [$from, $tempo] = [$at, $next];
            }

            return $seconds + ($tick - $from) * $tempo / $file->ticksPerQuarter / 1e6;
        };
    }

    /** @param non-empty-list<array{from: float, until: float, pitch: int, velocity: int}> $notes */
    private static function stroke(array $notes): PlayedOnset
    {
        $from = $notes[0]['from'];
        $seconds = max(array_column($notes, 'until')) - $from;
        $loudness = array_sum(array_map(static fn (array $note): float => ($note['velocity'] / 127) ** 2, $notes));

        return new PlayedOnset($from, self::direction($notes), $seconds <= self::DEAD_SECONDS, 10 * log10($loudness), $seconds);
    }

    /** @param non-empty-list<array{from: float, until: float, pitch: int, velocity: int}> $notes in order of time */
    private static function direction(array $notes): ?Direction
    {
        if (count($notes) < 3 || end($notes)['from'] - $notes[0]['from'] < 0.001) {
            return null;
        }
        $pitches = array_column($notes, 'pitch');
        $rising = $pitches;
        sort($rising);

        return match ($pitches) {
            $rising => Direction::Down,
            array_reverse($rising) => Direction::Up,
            default => null,
        };
    }
}
