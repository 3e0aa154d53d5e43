<?php

declare(strict_types=1);

namespace Gravik\Formats;

use Gravik\CoreException;
use Gravik\Formats\Internal\Draft\DraftBar;
use Gravik\Formats\Internal\Draft\DraftBuilder;
use Gravik\Formats\Internal\Draft\DraftSong;
use Gravik\Harmony\ChordSymbol;
use Gravik\Time\Meter;
use Gravik\Words;

/**
 * Drafts a breakdown from a ChordPro sheet: chords of its grids bar by bar, or those over its words one a bar; grips as it
 * defines them, comments as notes.
 */
final class ChordProDraft
{
    private string $title = '';

    private ?string $key = null;

    private ?float $tempo = null;

    private int $capo = 0;

    private Meter $meter;

    private ?string $section = null;

    private bool $inGrid = false;

    private bool $inOther = false;

    /** @var list<DraftBar> */
    private array $bars = [];

    /** @var array<string, list<int|null>> */
    private array $grips = [];

    /** @var list<string> */
    private array $unread = [];

    /** @var list<string> */
    private array $notes = [];

    private function __construct()
    {
        $this->meter = Meter::parse('4/4');
    }

    /** @throws DraftNotReadable */
    public static function read(string $text): Draft
    {
        $sheet = new self();
        foreach (explode("\n", strtr(mb_scrub($text), ["\r\n" => "\n", "\r" => "\n"])) as $number => $line) {
            $sheet->line(trim($line), $number + 1);
        }

        return DraftBuilder::build(new DraftSong(
            $sheet->title,
            $sheet->key,
            $sheet->tempo,
            null,
            $sheet->bars,
            capo: $sheet->capo,
            grips: $sheet->grips,
            unread: $sheet->unread,
            notes: implode("\n", $sheet->notes),
        ));
    }

    private function line(string $line, int $number): void
    {
        if ($line === '' || str_starts_with($line, '#')) {
            return;
        }
        if (preg_match('/^\{\s*([A-Za-z_]+)(?:-\w+)?\s*(?::\s*(.*?)|\s+(.*?))?\s*\}$/u', $line, $found) === 1) {
            $this->directive(strtolower($found[1]), trim($found[3] ?? $found[2] ?? ''), $number);
        } elseif ($this->inGrid) {
            $this->grid($line, $number);
        } elseif (! $this->inOther) {
            $this->words($line, $number);
        }
    }

    private function directive(string $name, string $value, int $number): void
    {
        match ($name) {
            'title', 't' => $this->title = $value,
            'key' => $this->key = self::keyOf($value),
            'tempo' => $this->tempo = is_numeric($value) && $value >= 20 && $value <= 400 ? (float) $value : null,
            'capo' => $this->capo = max(0, min(12, (int) $value)),
            'time' => $this->time($value, $number),
            'comment', 'c', 'comment_italic', 'ci' => $this->notes[] = $value,
            'define', 'chord' => $this->define($value, $number),
            'start_of_grid', 'sog' => $this->begins($value, grid: true),
            'end_of_grid', 'eog', 'end_of_verse', 'eov', 'end_of_chorus', 'eoc', 'end_of_bridge', 'eob' => $this->inGrid = false,
            'start_of_verse', 'sov' => $this->begins($value === '' ? 'Verse' : $value, grid: false),
            'start_of_chorus', 'soc' => $this->begins($value === '' ? 'Chorus' : $value, grid: false),
            'start_of_bridge', 'sob' => $this->begins($value === '' ? 'Bridge' : $value, grid: false),
            'start_of_tab', 'sot' => $this->skips("the tab in line {$number}"),
            'end_of_tab', 'eot' => $this->inOther = false,
            default => $this->unread[] = "{{$name}} in line {$number}",
        };
    }

    private function begins(string $name, bool $grid): void
    {
        $this->section = $name === '' ? null : $name;
        $this->inGrid = $grid;
    }

    private function skips(string $what): void
    {
        $this->inOther = true;
        $this->unread[] = $what;
    }

    private function time(string $value, int $number): void
    {
        try {
            $this->meter = Meter::parse($value);
        } catch (CoreException) {
            $this->unread[] = "the meter {$value} in line {$number}: {$this->meter->text()} goes on";
        }
    }

    /** "C7 base-fret 1 frets x 3 2 3 1 0 fingers …": frets count from the base. */
    private function define(string $value, int $number): void
    {
        $found = preg_match('/^(\S+)\s+(?:base-fret\s+(\d+)\s+)?frets\s+((?:(?:[xXnN-]|\d+)\s*)+)/u', $value, $match) === 1;
        $symbol = $found ? self::symbol($match[1]) : null;
        if (! $found || $symbol === null) {
            $this->unread[] = "the grip in line {$number}: ".mb_substr($value, 0, 40);

            return;
        }
        $base = max(1, (int) $match[2]);
        $this->grips[$symbol] = array_map(
            static fn (string $fret): ?int => ! ctype_digit($fret) ? null : ((int) $fret === 0 ? 0 : min(24, (int) $fret + $base - 1)),
            Words::of($match[3]),
        );
    }

    /** A line of a grid: bars between |, a cell each; "." goes on, "%" repeats, "/" strikes again. */
    private function grid(string $line, int $number): void
    {
        foreach (explode('|', strtr($line, [':' => ' ', '||' => '|', '|.' => '|'])) as $place => $bar) {
            $cells = Words::of($bar);
            if ($cells === [] || ($place === 0 && ! str_starts_with($line, '|'))) {
                continue;
            }
            if (in_array($cells, [['%'], ['%%']], true) && $this->bars !== []) {
                $this->bars[] = $this->bars[count($this->bars) - 1]->struck([]);

                continue;
            }
            $chords = [];
            foreach ($cells as $cell => $told) {
                if (in_array($told, ['.', '/', '%'], true)) {
                    continue;
                }
                $symbol = self::symbol($told);
                if ($symbol === null) {
                    $this->unread[] = 'the chord “'.mb_substr($told, 0, 20)."” in line {$number}";
                } else {
                    $chords[] = [(int) round($cell * $this->meter->barTicks() / count($cells)), $symbol];
                }
            }
            $this->bar($chords);
        }
    }

    /** A line of words with chords over them: each chord a bar of its own. */
    private function words(string $line, int $number): void
    {
        preg_match_all('/\[([^\]]*)\]/u', $line, $found);
        foreach ($found[1] as $told) {
            if (str_starts_with($told, '*')) {
                continue;
            }
            $symbol = self::symbol($told);
            if ($symbol === null) {
                $this->unread[] = 'the chord “'.mb_substr($told, 0, 20)."” in line {$number}";
            } else {
                $this->bar([[0, $symbol]]);
            }
        }
    }

    /** @param list<array{int, string}> $chords */
    private function bar(array $chords): void
    {
        $this->bars[] = new DraftBar($this->meter, $chords, [], $this->section);
        $this->section = null;
    }

    private static function symbol(string $told): ?string
    {
        if (in_array(strtoupper($told), ['N.C.', 'NC', 'N.C'], true)) {
            return '';
        }

        try {
            return ChordSymbol::parse($told)->text();
        } catch (CoreException) {
            return null;
        }
    }

    private static function keyOf(string $value): ?string
    {
        return preg_match('/^([A-G][b#♭♯]?)\s*(m|min|minor)?$/u', $value, $found) === 1
            ? strtr($found[1], ['b' => '♭', '#' => '♯']).(isset($found[2]) ? ' minor' : ' major')
            : null;
    }
}
