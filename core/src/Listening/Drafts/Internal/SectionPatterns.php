<?php

declare(strict_types=1);

namespace Gravik\Listening\Drafts\Internal;

use Gravik\Breakdown\Cell;
use Gravik\Listening\Feel\FeelPattern;
use Gravik\Listening\Feel\FeelReading;
use Gravik\Strokes\NamedPattern;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\Stroke;

/**
 * A pattern for every section, and none twice: the song's is the one that most of its bars have.
 *
 * @internal used by Drafter
 */
final readonly class SectionPatterns
{
    /** Patterns that differ in fewer strokes are one. */
    private const DIFFER = 2;

    /**
     * @param non-empty-list<NamedPattern> $patterns  the song's first
     * @param array<int, string>           $elsewhere section, from 0 => id of the pattern it has instead
     * @param int                          $strokes   that were heard on a slot of their section's pattern
     * @param int                          $heard     that were heard in all
     */
    private function __construct(public array $patterns, public array $elsewhere, public int $strokes, public int $heard) {}

    /**
     * @param list<non-empty-list<Block>> $times    of each section
     * @param NamedPattern                $otherwise the song's where no stroke comes often enough
     */
    public static function of(FeelReading $reading, array $times, NamedPattern $otherwise): self
    {
        $kinds = [];
        $strokes = $heard = 0;
        foreach ($times as $section => $blocks) {
            $bars = array_merge([], ...array_map(static fn (Block $block): array => $block->own(), $blocks));
            $own = $reading->of($bars);
            $pattern = FeelPattern::of($own);
            if ($pattern === null) {
                continue;
            }
            $kind = self::kindOf($pattern, $kinds);
            $kinds[$kind]['pattern'] ??= $pattern;
            $kinds[$kind]['bars'] = ($kinds[$kind]['bars'] ?? 0) + count($bars);
            $kinds[$kind]['sections'] = [...$kinds[$kind]['sections'] ?? [], $section];
            $heard += count($own->strokes);
            $strokes += self::onPattern($own, $pattern);
        }
        if ($kinds === []) {
            return new self([$otherwise], [], 0, count($reading->strokes));
        }
        usort($kinds, static fn (array $a, array $b): int => $b['bars'] <=> $a['bars']);
        $patterns = $elsewhere = [];
        foreach ($kinds as $number => $kind) {
            $id = 'p'.($number + 1);
            $patterns[] = new NamedPattern($id, '', $kind['pattern']);
            foreach ($number === 0 ? [] : $kind['sections'] as $section) {
                $elsewhere[$section] = $id;
            }
        }

        return new self($patterns, $elsewhere, $strokes, $heard);
    }

    /**
     * @param \Closure(int): string $section its id
     *
     * @return list<Cell> what a part plays in sections that have another pattern than the song
     */
    public function cells(string $part, \Closure $section): array
    {
        return array_map(
            static fn (int $number, string $pattern): Cell => new Cell($part, $section($number), pattern: $pattern),
            array_keys($this->elsewhere),
            $this->elsewhere,
        );
    }

    /** @param array<int, array{pattern: Pattern, bars: int, sections: list<int>}> $kinds */
    private static function kindOf(Pattern $pattern, array $kinds): int
    {
        foreach ($kinds as $number => $kind) {
            $one = self::places($pattern);
            $other = self::places($kind['pattern']);
            if ($pattern->ticks === $kind['pattern']->ticks
                && count(array_diff($one, $other)) + count(array_diff($other, $one)) < self::DIFFER) {
                return $number;
            }
        }

        return count($kinds);
    }

    /** @return list<string> where its strokes lie, and which are dead */
    private static function places(Pattern $pattern): array
    {
        return array_map(
            static fn (Stroke $stroke): string => $stroke->at.($stroke->isDead() ? ' dead' : ''),
            $pattern->streams[0]->strokes,
        );
    }

    private static function onPattern(FeelReading $own, Pattern $pattern): int
    {
        $slotTicks = intdiv($own->meter->beatTicks(), $own->grid);
        $struck = array_flip(array_map(static fn (Stroke $stroke): int => $stroke->at, $pattern->streams[0]->strokes));
        $on = 0;
        foreach ($own->strokes as $stroke) {
            $on += isset($struck[($stroke->bar * $own->meter->barTicks() + $stroke->slot * $slotTicks) % $pattern->ticks]) ? 1 : 0;
        }

        return $on;
    }
}
