<?php

declare(strict_types=1);

namespace Gravik\Formats;

use Gravik\CoreException;
use Gravik\Formats\Failure\DraftKindUnknown;
use Gravik\Formats\Internal\Draft\DraftBar;
use Gravik\Formats\Internal\Draft\DraftBuilder;
use Gravik\Formats\Internal\Draft\DraftSong;
use Gravik\Formats\Internal\Draft\DraftStroke;
use Gravik\Harmony\ChordSymbol;
use Gravik\Neck\Tuning;
use Gravik\Strokes\Counting;
use Gravik\Strokes\Direction;
use Gravik\Strokes\Ornament;
use Gravik\Strokes\OrnamentKind;
use Gravik\Time\Feel;
use Gravik\Time\FeelMode;
use Gravik\Time\Meter;
use Gravik\Time\SwingUnit;

/** Reads our own text tab back: docs/tab.md has its form. */
final readonly class TabDraft
{
    /** @throws DraftNotReadable */
    public static function read(string $text): Draft
    {
        $lines = explode("\n", strtr(mb_scrub($text), ["\r\n" => "\n", "\r" => "\n"]));
        if (trim($lines[0]) !== TabText::HEAD) {
            throw new DraftKindUnknown();
        }
        $head = self::head($lines);
        $unread = [];
        $meter = self::meter($head['meter'] ?? '4/4', $unread);
        $tuning = self::tuning($head['tuning'] ?? 'standard', $unread);
        $bars = self::bars($lines, $meter, $tuning->strings(), $unread);

        return DraftBuilder::build(new DraftSong(
            $head['title'] ?? '',
            $head['key'] ?? null,
            isset($head['tempo']) && is_numeric($head['tempo']) ? (float) $head['tempo'] : null,
            self::feel($head['swing'] ?? ''),
            $bars,
            $tuning,
            max(0, min(12, (int) ($head['capo'] ?? 0))),
            unread: $unread,
        ));
    }

    /**
     * @param list<string> $lines
     *
     * @return array<string, string>
     */
    private static function head(array $lines): array
    {
        $head = [];
        foreach (array_slice($lines, 1) as $line) {
            if (preg_match('/^(title|key|tempo|meter|swing|tuning|capo): (.*)$/u', $line, $found) !== 1) {
                break;
            }
            $head[$found[1]] = trim($found[2]);
        }

        return $head;
    }

    /** @param list<string> $unread */
    private static function meter(string $told, array &$unread): Meter
    {
        try {
            return Meter::parse($told);
        } catch (CoreException) {
            $unread[] = "the meter {$told}: 4/4 is taken";

            return Meter::parse('4/4');
        }
    }

    /** @param list<string> $unread */
    private static function tuning(string $told, array &$unread): Tuning
    {
        try {
            return Tuning::parse($told);
        } catch (CoreException) {
            $unread[] = "the tuning {$told}: the standard one is taken";

            return Tuning::standard();
        }
    }

    private static function feel(string $told): ?Feel
    {
        [$ratio, $unit] = explode(' ', $told) + ['', ''];

        return is_numeric($ratio) && $ratio >= 0.7 && $ratio <= 3
            ? new Feel(FeelMode::Fixed, (float) $ratio, SwingUnit::tryFrom($unit) ?? SwingUnit::Eighth)
            : null;
    }

    /**
     * @param list<string> $lines
     * @param list<string> $unread
     *
     * @return list<DraftBar>
     */
    private static function bars(array $lines, Meter $meter, int $strings, array &$unread): array
    {
        $bars = [];
        $section = null;
        for ($at = 0; $at < count($lines); $at++) {
            if (preg_match('/^\[(.+)\] pass /u', $lines[$at], $found) === 1) {
                $section = $found[1];
            }
            if (! str_contains($lines[$at], '|') || $at === 0) {
                continue;
            }
            $rows = array_slice($lines, $at, $strings);
            if (count(array_filter($rows, static fn (string $row): bool => str_contains($row, '|'))) < $strings) {
                $unread[] = 'the staff in line '.($at + 1)." has not {$strings} strings";

                continue;
            }
            foreach (self::row($lines[$at - 1] ?? '', $rows, $lines[$at + $strings] ?? '', $lines[$at + $strings + 1] ?? '', $meter) as $bar) {
                $bars[] = new DraftBar($meter, $bar->chords, $bar->strokes, $section);
                $section = null;
            }
            $at += $strings - 1;
        }

        return $bars;
    }

    /**
     * One staff: the bar lines of its first string cut all of its lines.
     *
     * @param list<string> $rows
     *
     * @return list<DraftBar>
     */
    private static function row(string $chords, array $rows, string $counts, string $hands, Meter $meter): array
    {
        $ends = [];
        foreach (mb_str_split($rows[0]) as $column => $sign) {
            if ($sign === '|') {
                $ends[] = $column;
            }
        }
        $bars = [];
        foreach (array_slice($ends, 0, -1) as $place => $start) {
            $cut = static fn (string $line): string => mb_substr($line, $start + 1, $ends[$place + 1] - $start - 1);
            $told = [];
            $strokes = [];
            foreach (self::words($cut($counts)) as $column => $syllable) {
                $tick = self::tick($meter, $syllable, $told);
                $told[] = $tick;
                $hand = self::wordAt($cut($hands), $column);
                if ($hand !== '') {
                    $strokes[] = self::stroke($tick, array_map($cut, $rows), $column, $hand);
                }
            }
            $symbols = [];
            foreach (self::words($cut($chords)) as $column => $symbol) {
                try {
                    $symbols[] = [self::tickAt($cut($counts), $column, $meter), ChordSymbol::parse($symbol)->text()];
                } catch (CoreException) {
                    continue;
                }
            }
            $bars[] = new DraftBar($meter, $symbols, $strokes);
        }

        return $bars;
    }

    /** @param list<string> $rows of one bar, the highest string first */
    private static function stroke(int $tick, array $rows, int $column, string $hand): DraftStroke
    {
        $frets = $moves = [];
        $dead = $ghost = false;
        $notes = 0;
        foreach ($rows as $row => $line) {
            $cell = (string) preg_replace('/-.*$/u', '', mb_substr($line, $column));
            $dead = $dead || $cell === 'x';
            $ghost = $ghost || str_starts_with($cell, '(');
            $notes += $cell === '' ? 0 : 1;
            if (preg_match('/(?:(\d+)([hpsg]))?(\d+)(?:([>bBr])(\d+))?([r~]?)/', $cell, $found) === 1) {
                $frets[$row + 1] = (int) $found[3];
                $moves[$row + 1] = self::ornament($found);
            }
        }

        return new DraftStroke(
            $tick,
            $frets,
            $notes,
            stripos($hand, 'u') === 0 ? Direction::Up : Direction::Down,
            $dead,
            $ghost,
            str_contains($hand, 'm'),
            str_contains($hand, '.'),
            ctype_upper($hand[0]) ? 2 : 1,
            moves: array_filter($moves),
        );
    }

    /**
     * What stands before the sign that comes to a note is where it comes from; what stands after one, where it goes to.
     *
     * @param array<int, string> $cell from, sign, fret, sign, to, sign
     */
    private static function ornament(array $cell): ?Ornament
    {
        [$sign, $other] = $cell[2] !== '' ? [$cell[2], (int) $cell[1]] : [$cell[4].$cell[6], (int) $cell[5]];
        $kind = match ($sign) {
            'h' => OrnamentKind::HammerOn,
            'p' => OrnamentKind::PullOff,
            's' => OrnamentKind::SlideIn,
            'g' => OrnamentKind::Grace,
            '>' => OrnamentKind::SlideOut,
            'b' => OrnamentKind::Bend,
            'br' => OrnamentKind::BendRelease,
            'B' => OrnamentKind::Bent,
            'r' => OrnamentKind::Release,
            '~' => OrnamentKind::Vibrato,
            default => null,
        };
        $frets = $kind === OrnamentKind::Vibrato ? 0 : max(-12, min(12, $other - (int) $cell[3]));

        return $kind === null ? null : new Ornament($kind, $frets);
    }

    /** @return array<int, string> words by the column they begin at */
    private static function words(string $line): array
    {
        preg_match_all('/\S+/u', $line, $found, PREG_OFFSET_CAPTURE);
        $words = [];
        foreach ($found[0] as [$word, $byte]) {
            $words[mb_strlen(substr($line, 0, $byte))] = $word;
        }

        return $words;
    }

    private static function wordAt(string $line, int $column): string
    {
        return self::words($line)[$column] ?? '';
    }

    /** @param list<int> $before ticks of the bar that are counted already */
    private static function tick(Meter $meter, string $syllable, array $before): int
    {
        $beat = $meter->beatTicks();
        if (ctype_digit($syllable)) {
            return ((int) $syllable - 1) * $beat;
        }
        $last = $before === [] ? 0 : max($before);
        $start = intdiv($last, $beat);
        foreach ([2, 3, 4, 6] as $division) {
            $within = array_slice(Counting::syllables($meter, $division), 1, $division - 1);
            $slot = array_search($syllable, $within, true);
            $tick = $slot === false ? -1 : $start * $beat + intdiv(($slot + 1) * $beat, $division);
            if ($tick > $last || ($tick >= 0 && $before === [])) {
                return $tick;
            }
        }

        return $last;
    }

    private static function tickAt(string $counts, int $column, Meter $meter): int
    {
        $told = [];
        foreach (self::words($counts) as $at => $syllable) {
            $tick = self::tick($meter, $syllable, $told);
            if ($at === $column) {
                return $tick;
            }
            $told[] = $tick;
        }

        return 0;
    }
}
