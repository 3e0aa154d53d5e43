<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Time\Meter;

/** All sections of a tune in order, as bars with their chords. */
final readonly class Form
{
    private const MOST_BARS = 400;

    /**
     * @param list<Bar>        $bars
     * @param list<FormChord>  $chords each sounding chord once; a chord that goes on over the bar line is struck anew there
     */
    private function __construct(public Meter $meter, public array $bars, public array $chords) {}

    /** @param list<Section> $sections */
    public static function of(array $sections, Key $key, Meter $meter): self
    {
        $reader = new ChartLine($key, $meter);
        $bars = [];
        $chords = [];
        foreach ($sections as $number => $section) {
            foreach ($reader->read($section->line)->bars as $barInSection => $bar) {
                foreach ($bar->chords as $chord) {
                    if ($chord->chord !== null) {
                        $chords[] = new FormChord($number, $barInSection, $chord->at, count($bars) * $meter->barTicks() + $chord->at, $chord->ticks, $chord->chord);
                    }
                }
                $bars[] = $bar;
            }
        }
        if (count($bars) > self::MOST_BARS) {
            throw ChartNotReadable::tooManyBars(count($bars), self::MOST_BARS);
        }

        return new self($meter, $bars, $chords);
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
        $length = $this->meter->barTicks();

        return array_values(array_map(
            static fn (FormChord $chord): ChordSymbol => $chord->chord,
            array_filter($this->chords, static fn (FormChord $chord): bool => intdiv($chord->formTicks, $length) === $bar),
        ));
    }

    public function ticks(): int
    {
        return count($this->bars) * $this->meter->barTicks();
    }
}
