<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Chart\Failure\TooManyBars;
use Gravik\Harmony\ChordSymbol;

/** The song as it is written: every section once with its endings, as bars with their chords. How it is gone through is a Course. */
final readonly class Form
{
    public const MOST_BARS = 400;

    /**
     * @param list<FormBar>    $bars
     * @param list<FormChord>  $chords each sounding chord once; a chord that goes on over the bar line is struck anew there
     */
    private function __construct(public array $bars, public array $chords) {}

    /** @param list<Section> $sections */
    public static function of(array $sections, Setting $song): self
    {
        $bars = [];
        $chords = [];
        $next = 1;
        foreach ($sections as $section) {
            $first = $next;
            $setting = $section->setting($song);
            $lines = [
                [null, $section->line],
                ...array_map(
                    static fn (Ending $ending, int $number): array => [$number, $ending->line],
                    $section->endings,
                    array_keys($section->endings),
                ),
            ];
            $forks = $first;
            foreach ($lines as [$ending, $line]) {
                $read = $setting->reader()->read($line)->bars;
                foreach ($read as $inSection => $bar) {
                    foreach ($bar->chords as $chord) {
                        if ($chord->chord !== null) {
                            $place = new Place($section->id, $ending, $inSection, $chord->at);
                            $chords[] = new FormChord($place, count($bars), $chord->ticks, $chord->chord);
                        }
                    }
                    $number = ($ending === null ? $first : $forks) + $inSection;
                    $bars[] = new FormBar($section->id, $ending, $inSection, $number, $bar, $setting->meter);
                    $next = max($next, $number + 1);
                }
                $forks = $ending === null ? $first + count($read) : $forks;
            }
        }
        if (count($bars) > self::MOST_BARS) {
            throw new TooManyBars(count($bars), self::MOST_BARS);
        }

        return new self($bars, $chords);
    }

    /** The number that is written over a place's bar; null where there is no such bar. */
    public function numberAt(Place $at): ?int
    {
        foreach ($this->bars as $bar) {
            if ($bar->section === $at->section && $bar->ending === $at->ending && $bar->inSection === $at->bar) {
                return $bar->number;
            }
        }

        return null;
    }

    /** @return list<ChordSymbol> every chord once, in the order in which they come */
    public function differentChords(): array
    {
        $chords = [];
        foreach ($this->chords as $place) {
            $chords[$place->chord->text()] ??= $place->chord;
        }

        return array_values($chords);
    }

    /** @return list<ChordSymbol> in order; none over a silent bar or beyond the end */
    public function chordsOfBar(int $bar): array
    {
        return array_values(array_map(
            static fn (FormChord $chord): ChordSymbol => $chord->chord,
            array_filter($this->chords, static fn (FormChord $chord): bool => $chord->bar === $bar),
        ));
    }
}
