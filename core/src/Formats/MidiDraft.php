<?php

declare(strict_types=1);

namespace Gravik\Formats;

use Gravik\CoreException;
use Gravik\Formats\Internal\Draft\DraftBar;
use Gravik\Formats\Internal\Draft\DraftBuilder;
use Gravik\Formats\Internal\Draft\DraftSong;
use Gravik\Formats\Internal\Draft\DraftStroke;
use Gravik\Formats\Internal\MidiReader;
use Gravik\Harmony\ChordSymbol;
use Gravik\Strokes\Direction;
use Gravik\Time\Feel;
use Gravik\Time\FeelMode;
use Gravik\Time\Meter;
use Gravik\Time\SwingUnit;

/**
 * Drafts a breakdown from a MIDI file: the track with most chords as strokes, its swing measured from the notes, chords from
 * its markers where they are chord names.
 */
final readonly class MidiDraft
{
    private const DRUMS = 9;

    private const SWEEP_TICKS = 60;

    private const DEAD_TICKS = 90;

    private const TICKS = 960;

    private const MOST_BARS = 2000;

    /** @throws DraftNotReadable|MidiNotReadable */
    public static function read(string $bytes, string $title): Draft
    {
        $file = new MidiReader($bytes);
        $told = $file->meter === null ? '' : implode('/', $file->meter);
        $unread = in_array($told, ['', ...Meter::KNOWN], true) ? [] : ["the meter {$told}: 4/4 is taken"];
        $meter = Meter::parse(in_array($told, Meter::KNOWN, true) ? $told : '4/4');
        $quarters = array_values($file->tempos)[0] ?? 500_000;
        if (count($file->tempos) > 1) {
            $unread[] = (count($file->tempos) - 1).' changes of tempo: the first one is taken';
        }
        [$guitar, $others] = self::guitar($file);
        $strokes = self::strokes($file, $guitar);
        [$strokes, $feel] = self::straightened($strokes, $meter);
        $chords = self::chords($file, $unread);
        $last = max([0, ...array_keys($strokes), ...array_keys($chords)]);
        $bars = [];
        for ($bar = 0; $bar * $meter->barTicks() <= $last && $bar < self::MOST_BARS; $bar++) {
            [$from, $until] = [$bar * $meter->barTicks(), ($bar + 1) * $meter->barTicks()];
            $symbols = $struck = [];
            foreach ($chords as $tick => $symbol) {
                if ($tick >= $from && $tick < $until) {
                    $symbols[] = [$tick - $from, $symbol];
                }
            }
            foreach ($strokes as $tick => $stroke) {
                if ($tick >= $from && $tick < $until) {
                    $struck[] = new DraftStroke(
                        $tick - $from, [], $stroke->notes, $stroke->direction, $stroke->dead, accent: $stroke->accent,
                    );
                }
            }
            $bars[] = new DraftBar($meter, $symbols, $struck);
        }

        return DraftBuilder::build(new DraftSong(
            $title,
            null,
            round(60_000_000 / max(1, $quarters) / $meter->quartersPerBeat(), 2),
            $feel,
            $bars,
            unread: [...$unread, ...$others],
        ));
    }

    /** @return array{int, list<string>} the track that plays most notes together, and what of the others is left out */
    private static function guitar(MidiReader $file): array
    {
        $together = $notes = [];
        $before = [];
        foreach ($file->notes as $note) {
            if ($note['channel'] !== self::DRUMS) {
                $near = $note['tick'] - ($before[$note['track']] ?? -PHP_INT_MAX) < $file->ticksPerQuarter / 16;
                $together[$note['track']] = ($together[$note['track']] ?? 0) + ($near ? 1 : 0);
                $before[$note['track']] = $note['tick'];
            }
            $notes[$note['track']] = 1 + ($notes[$note['track']] ?? 0);
        }
        arsort($together);
        $guitar = array_key_first($together) ?? array_key_first($notes) ?? 0;
        unset($notes[$guitar]);

        return [$guitar, array_map(
            static fn (int $track, int $count): string => 'track '.($track + 1).", {$count} notes",
            array_keys($notes),
            $notes,
        )];
    }

    /** @return array<int, DraftStroke> by tick, 960 a quarter, where they sound */
    private static function strokes(MidiReader $file, int $track): array
    {
        $groups = [];
        $begun = -PHP_INT_MAX;
        foreach ($file->notes as $note) {
            if ($note['track'] !== $track || $note['channel'] === self::DRUMS) {
                continue;
            }
            $tick = (int) round($note['tick'] * self::TICKS / $file->ticksPerQuarter);
            $begun = $tick - $begun > self::SWEEP_TICKS ? $tick : $begun;
            $groups[$begun][] = ['pitch' => $note['pitch'], 'velocity' => $note['velocity'],
                'long' => (int) round(($note['until'] - $note['tick']) * self::TICKS / $file->ticksPerQuarter)];
        }
        $velocities = array_map(static fn (array $notes): int => max(array_column($notes, 'velocity')), $groups);
        sort($velocities);
        $usual = $velocities[intdiv(count($velocities), 2)] ?? 64;

        return array_map(static fn (array $notes): DraftStroke => new DraftStroke(
            0,
            [],
            count($notes),
            count($notes) < 2 ? null : ($notes[0]['pitch'] <= $notes[count($notes) - 1]['pitch'] ? Direction::Down : Direction::Up),
            max(array_column($notes, 'long')) < self::DEAD_TICKS,
            accent: max(array_column($notes, 'velocity')) > 1.15 * $usual ? 2 : 1,
        ), $groups);
    }

    /**
     * The swing is measured as the median place of what lies between the beats, and taken out; every stroke goes to the
     * nearest sixteenth or third.
     *
     * @param array<int, DraftStroke> $strokes by tick
     *
     * @return array{array<int, DraftStroke>, ?Feel}
     */
    private static function straightened(array $strokes, Meter $meter): array
    {
        $beat = $meter->beatTicks();
        $between = [];
        foreach (array_keys($strokes) as $tick) {
            $share = ($tick % $beat) / $beat;
            if ($share > 0.4 && $share < 0.8) {
                $between[] = $share;
            }
        }
        sort($between);
        $p = $between === [] ? 0.5 : $between[intdiv(count($between), 2)];
        $swings = ! $meter->isCompound() && $p > 0.53;
        $straight = [];
        foreach ($strokes as $tick => $stroke) {
            $inBeat = $tick % $beat;
            $share = $inBeat / $beat;
            $share = ! $swings ? $share : ($share <= $p ? $share / $p * 0.5 : 0.5 + ($share - $p) / (1 - $p) * 0.5);
            $grid = $meter->isCompound() ? 6 : 12;
            $slot = (int) round($share * $grid);
            $slot = $meter->isCompound() || $slot % 3 === 0 || $slot % 4 === 0 ? $slot : (int) round($share * 4) * 3;
            $straight[$tick - $inBeat + intdiv($slot * $beat, $grid)] ??= $stroke;
        }
        ksort($straight);

        return [$straight, $swings ? new Feel(FeelMode::Fixed, min(3.0, max(0.7, round($p / (1 - $p), 2))), SwingUnit::Eighth) : null];
    }

    /**
     * @param list<string> $unread
     *
     * @return array<int, string> chords by tick, 960 a quarter
     */
    private static function chords(MidiReader $file, array &$unread): array
    {
        $chords = [];
        $other = 0;
        foreach ($file->markers as [$tick, $text]) {
            try {
                $chords[(int) round($tick * self::TICKS / $file->ticksPerQuarter)] = ChordSymbol::parse($text)->text();
            } catch (CoreException) {
                $other++;
            }
        }
        if ($other > 0) {
            $unread[] = "{$other} markers that are no chords";
        }

        return $chords;
    }
}
