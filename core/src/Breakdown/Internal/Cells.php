<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Internal;

use Gravik\Band\BandPart;
use Gravik\Band\Groove;
use Gravik\Band\Instrument;
use Gravik\Band\Role;
use Gravik\Band\Style;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\BreakdownNotValid;
use Gravik\Breakdown\Cell;
use Gravik\Breakdown\Failure\NoPatternInMeter;
use Gravik\Breakdown\Failure\PartUnknown;
use Gravik\Breakdown\Failure\SectionUnknown;
use Gravik\Breakdown\Playing;
use Gravik\Breakdown\Texture;
use Gravik\Chart\Section;
use Gravik\Chart\VoicingLine;
use Gravik\Strokes\Hand\Levels;
use Gravik\Strokes\NamedPattern;
use Gravik\Time\Meter;

/**
 * Looks up how a part plays a section: the pass's cells before the song's, of each the one that names more, of two alike
 * the later. A pattern or groove in another meter than the section's is passed over, unless its cell names the section.
 *
 * @internal used by Breakdown
 */
final readonly class Cells
{
    private function __construct(private Breakdown $breakdown) {}

    public static function of(Breakdown $breakdown): self
    {
        return new self($breakdown);
    }

    /**
     * @param ?int $bar of the section, from 0; null for what holds in all its bars
     *
     * @throws BreakdownNotValid where no pattern is in the section's meter
     */
    public function playing(string $pass, string $section, string $part, int $time, ?int $bar = null): Playing
    {
        $style = fn (): Style => $this->styles($pass, $section, $time, 1 + ($bar ?? 0))[$bar ?? 0];

        return $this->by($section, $part, self::inBar($this->inForce($pass, $section, $part, $time), $bar), $style);
    }

    /**
     * What the drums, else the bass, play in so many bars of the section belongs to; the feel where there are neither.
     *
     * @return list<Style>
     */
    public function styles(string $pass, string $section, int $time, int $bars): array
    {
        $setting = $this->section($section)->setting($this->breakdown->start);
        $part = $this->timekeeper();
        $cells = $part === null ? [] : $this->inForce($pass, $section, $part->id, $time);
        $feel = $setting->feel->swings($setting->tempo) ? Style::Swing : Style::Straight;
        $styles = [];
        for ($bar = 0; $bar < $bars; $bar++) {
            $groove = $part === null ? null : $this->groove(self::inBar($cells, $bar), $part, $setting->meter);
            $styles[] = $groove->style ?? $feel;
        }

        return $styles;
    }

    private function timekeeper(): ?BandPart
    {
        foreach ([Instrument::Drums, Instrument::Bass] as $instrument) {
            foreach ($this->breakdown->parts as $part) {
                if ($part->instrument === $instrument) {
                    return $part;
                }
            }
        }

        return null;
    }

    /**
     * @return list<Playing> for so many bars of the section
     *
     * @throws BreakdownNotValid where no pattern is in the section's meter
     */
    public function playings(string $pass, string $section, string $part, int $time, int $bars): array
    {
        $cells = $this->inForce($pass, $section, $part, $time);
        $known = [];
        $playings = [];
        for ($bar = 0; $bar < $bars; $bar++) {
            $here = self::inBar($cells, $bar);
            $style = fn (): Style => $this->styles($pass, $section, $time, 1 + $bar)[$bar];
            $playings[] = $known[implode(' ', array_keys($here))] ??= $this->by($section, $part, $here, $style);
        }

        return $playings;
    }

    /**
     * @param array<int, Cell> $cells the nearest first
     *
     * @return array<int, Cell>
     */
    private static function inBar(array $cells, ?int $bar): array
    {
        return array_filter($cells, static fn (Cell $cell): bool => $bar === null ? $cell->bars === null : $cell->holdsInBar($bar));
    }

    /**
     * @param array<int, Cell>  $cells the nearest first
     * @param \Closure(): Style $style of the bar, asked for only where a part goes by it
     */
    private function by(string $section, string $part, array $cells, \Closure $style): Playing
    {
        $meter = $this->section($section)->setting($this->breakdown->start)->meter;
        $of = $this->part($part);
        $second = SecondGuitar::of($of);
        $pattern = $this->pattern($cells, $meter, $second?->pattern($meter, $style()))
            ?? throw new NoPatternInMeter($this->place($section), $this->section($section)->name, $meter->text());
        $texture = in_array($pattern, $this->breakdown->patterns, true) ? null : $second?->texture();

        return new Playing(
            self::first($cells, static fn (Cell $cell): ?Role => $cell->role) ?? Role::Active,
            $pattern,
            $this->line($cells, $second),
            self::first($cells, static fn (Cell $cell): ?int => $cell->level) ?? Levels::HIGHEST,
            $this->groove($cells, $of, $meter),
            self::first($cells, static fn (Cell $cell): ?Texture => $cell->texture) ?? $texture ?? Texture::Pattern,
            self::first($cells, static fn (Cell $cell): ?int => $cell->dynamic) ?? 0,
        );
    }

    /** @return list<Cell> those that hold there, the nearest first */
    private function inForce(string $pass, string $section, string $part, int $time): array
    {
        $holds = static fn (Cell $cell): bool => $cell->holdsFor($part, $section, $time);
        $own = [];
        foreach ($this->breakdown->passes as $each) {
            $own = $each->id === $pass ? $each->cells : $own;
        }

        return [...self::nearestFirst(array_filter($own, $holds)), ...self::nearestFirst(array_filter($this->breakdown->cells, $holds))];
    }

    /**
     * @param array<int, Cell> $cells
     *
     * @return list<Cell>
     */
    private static function nearestFirst(array $cells): array
    {
        $cells = array_reverse($cells);
        usort($cells, static fn (Cell $a, Cell $b): int => $b->weight() <=> $a->weight());

        return $cells;
    }

    /** @param array<int, Cell> $cells */
    private function pattern(array $cells, Meter $meter, ?NamedPattern $usual): ?NamedPattern
    {
        $named = array_filter(
            array_map(static fn (Cell $cell): ?string => $cell->pattern, $cells),
            static fn (?string $id): bool => $id !== null,
        );
        $byId = array_column(array_map(static fn (NamedPattern $each): array => [$each->id, $each], $this->breakdown->patterns), 1, 0);
        $else = $usual === null ? $this->breakdown->patterns : [$usual];
        foreach ([...array_map(static fn (string $id): NamedPattern => $byId[$id], $named), ...$else] as $pattern) {
            if ($pattern->pattern->meter->equals($meter)) {
                return $pattern;
            }
        }

        return null;
    }

    /** @param array<int, Cell> $cells */
    private function line(array $cells, ?SecondGuitar $second): VoicingLine
    {
        $id = self::first($cells, static fn (Cell $cell): ?string => $cell->line);
        foreach ($this->breakdown->lines as $line) {
            if ($line->id === $id) {
                return $line;
            }
        }

        return $second?->line($this->breakdown->neck->tuning->strings()) ?? $this->breakdown->lines[0];
    }

    /** @param array<int, Cell> $cells */
    private function groove(array $cells, BandPart $part, Meter $meter): ?Groove
    {
        if ($part->groove === null) {
            return null;
        }
        foreach ([...array_map(static fn (Cell $cell): ?Groove => $cell->groove, $cells), $part->groove] as $groove) {
            if ($groove !== null && $groove->meter->equals($meter)) {
                return $groove;
            }
        }

        return Groove::defaultFor($meter);
    }

    private function section(string $id): Section
    {
        return $this->breakdown->sections[$this->place($id)];
    }

    private function place(string $id): int
    {
        foreach ($this->breakdown->sections as $place => $section) {
            if ($section->id === $id) {
                return $place;
            }
        }

        throw new SectionUnknown($id);
    }

    private function part(string $id): BandPart
    {
        foreach ($this->breakdown->parts as $part) {
            if ($part->id === $id) {
                return $part;
            }
        }

        throw new PartUnknown($id);
    }

    /**
     * @template T
     *
     * @param array<int, Cell>  $cells
     * @param callable(Cell): T $field
     *
     * @return ?T what the nearest of them names
     */
    private static function first(array $cells, callable $field): mixed
    {
        foreach ($cells as $cell) {
            if ($field($cell) !== null) {
                return $field($cell);
            }
        }

        return null;
    }
}
